import { SHADE } from '../../geometry/tolerances';
import { attackOf, type Attack } from '../../kinematics/attack';
import { pocketOf, type Pocket } from '../../kinematics/passing';
import type { CallWords } from '../../model/call-words';
import { lineOf, type Formation } from '../../model/formation';
import type { Overrides } from '../../model/overrides';
import { SHIPPED_SETTINGS, type Settings } from '../../model/settings';
import { signOf, type Side } from '../../model/side';
import type { CompiledScheme } from './compile';
import { seatCall, type SeatedCall } from './seat-call';
import { tagsInForce, type TagChoice } from './tags';

/** What is called: the side, its tags, and how the program works it out. */
export interface Call extends TagChoice {
  readonly side: Side;
  readonly settings?: Settings;
  readonly overrides?: Overrides;
  readonly words?: CallWords;
}

/** What a play is judged by: where a run is to go, or from where and when a pass is thrown. */
export interface Aim {
  readonly attack: Attack;
  readonly pocket: Pocket | null;
}

/** A call made ready for any number of fronts. */
export interface Prepared {
  readonly scheme: CompiledScheme;
  readonly formation: Formation;
  readonly call: Call;
  readonly settings: Settings;
  readonly tags: ReadonlySet<string>;
  /** Whose sentences are whose. */
  readonly seated: SeatedCall;
  /** In the scene's frame: play side positive. */
  readonly aim: Aim;
}

/** Makes a call ready for any number of fronts. */
export function prepareCall(scheme: CompiledScheme, formation: Formation, call: Call): Prepared {
  const sign = signOf(call.side);
  const noses = lineOf(formation)
    .map((m) => (m.x === 0 ? 0 : m.x * sign))
    .sort((a, b) => a - b);
  const settings = call.settings ?? SHIPPED_SETTINGS;
  const tags = tagsInForce(scheme, call);
  return {
    scheme,
    formation,
    call,
    settings,
    tags,
    seated: seatCall(scheme, formation, call.side, tags),
    aim: {
      attack: attackOf(scheme.head.entry, noses, SHADE),
      pocket: scheme.head.throw && pocketOf(scheme.head.throw, formation, settings),
    },
  };
}
