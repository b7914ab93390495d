import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { hasErrors, type Diagnostic } from '#core/diagnostics/diagnostic';
import { levelOf } from '#core/identify/line';
import { adviceOf, type AdviceJob } from '#core/calls/advice-job';
import type { ProtectCall } from '#core/calls/protect-job';
import type { Formation } from '#core/model/formation';
import type { Front } from '#core/model/front';
import type { Overrides } from '#core/model/overrides';
import type { PressureReport } from '#core/model/pressure';
import type { Resolution } from '#core/model/resolution';
import type { ProtectionMend } from '#core/protect/mend-protection';
import { provePressures, tryPressure } from '#core/protect/prove';
import { prepareCall, type Prepared } from '#core/resolve/prepare/prepare-call';
import { resolveStill } from '#core/resolve/resolve';
import { toggleTag } from '#core/resolve/prepare/tags';
import { usePlaybook } from '~/features/playbook/store';
import { useAdvice } from '~/workers/start';

/** A protection called against a front. */
export type ProtectionCall = Omit<ProtectCall, 'tags' | 'without' | 'overrides'> & {
  front: string;
  tags: string[];
  without: string[];
  mike: string;
};
export const START: ProtectionCall = {
  scheme: 'pro-five-back',
  side: 'right',
  formation: 'pistol',
  front: 'over-two-high',
  tags: [],
  without: [],
  mike: '',
};

/** One protection against one front: who has whom, what beats it, and what mends it. */
export const useProtection = defineStore('protection', () => {
  const playbook = usePlaybook();
  const call = ref<ProtectionCall>({ ...START });
  const front = shallowRef<Front | null>(null);
  const formation = shallowRef<Formation | null>(null);
  const problems = shallowRef<readonly Diagnostic[]>([]);
  const selected = ref<string | null>(null);
  /** Who comes and who twists, as chosen by hand; empty for the plainest pressure that beats it. */
  const chosen = ref<{ rushers: string[]; twist: [string, string] | null } | null>(null);

  const isProtection = ({ id }: { id: string }): boolean => {
    const scheme = playbook.book.scheme(id);
    return scheme.ok && scheme.value.head.throw !== null;
  };
  /** Those the program runs; all of the library while it has chosen none. */
  const protections = computed(() => {
    const chosen = playbook.schemes.filter(isProtection);
    const all = chosen.length ? chosen : playbook.book.list('schemes').filter(isProtection);
    return all.map(({ id, name, from }) => ({ id, name, from: from ?? 'five-man' }));
  });

  /** Lays out a call; what cannot be read leaves the board as it was. */
  function setUp(next: ProtectionCall): void {
    const { book } = playbook;
    const [men, scheme] = [book.formation(next.formation), book.scheme(next.scheme)];
    const theirs = men.ok ? book.front(next.front, men.value, playbook.settings) : men;
    const found = [...men.diagnostics, ...(men.ok ? theirs.diagnostics : []), ...scheme.diagnostics];
    const isProtection = scheme.ok && scheme.value.head.throw !== null;
    problems.value =
      isProtection || !scheme.ok
        ? found
        : [
            {
              code: 'playbook.unknown',
              severity: 'error',
              span: { line: 1, column: 1, endColumn: 1 },
              params: { what: 'protection', id: next.scheme },
            },
          ];
    if (hasErrors(problems.value) || !men.ok || !theirs.ok || !scheme.ok) return;
    const known = scheme.value.tags.map((t) => t.name);
    const there = theirs.value as Front;
    if (there.defenders.map((d) => d.id).join() !== front.value?.defenders.map((d) => d.id).join()) chosen.value = null;
    call.value = {
      ...next,
      tags: next.tags.filter((t) => known.includes(t)),
      without: next.without.filter((t) => known.includes(t)),
      mike: there.defenders.some((d) => d.id === next.mike) ? next.mike : '',
    };
    formation.value = men.value;
    front.value = there;
  }

  const overrides = computed<Overrides>(() => (call.value.mike ? { mike: call.value.mike } : {}));
  const prepared = computed<Prepared | null>(() => {
    const scheme = playbook.book.scheme(call.value.scheme);
    if (!scheme.ok || !formation.value) return null;
    const { side, tags, without } = call.value;
    return prepareCall(scheme.value, formation.value, {
      side,
      tags,
      without,
      settings: playbook.settings,
      words: playbook.words,
      overrides: overrides.value,
    });
  });
  const resolution = computed<Resolution | null>(() =>
    prepared.value && front.value
      ? resolveStill(prepared.value.scheme, prepared.value.formation, front.value, prepared.value.call)
      : null,
  );
  const proof = computed(() => (prepared.value && front.value ? provePressures(prepared.value, front.value) : null));
  /** What would help, tried beside the screen. */
  const advice = useAdvice();
  const about = computed<AdviceJob | null>(() => {
    if (!proof.value || !front.value) return null;
    const { scheme, side, formation: from, tags, without } = call.value;
    return {
      own: playbook.ownTexts,
      settings: playbook.settings,
      scheme,
      side,
      formation: from,
      tags: [...tags],
      without: [...without],
      overrides: overrides.value,
      front: front.value,
      moves: [],
      about: ['protection mends'],
    };
  });
  watch(about, () => about.value && advice.ask(about.value), { flush: 'post' });
  const mends = computed(() => adviceOf(advice.found.value, 'protection mends') ?? []);
  const tags = computed(() =>
    (prepared.value?.scheme.tags ?? []).map((t) => ({ ...t, active: prepared.value!.tags.has(t.name) })),
  );

  /** The pressure on the board: the one chosen, else the plainest that beats it, else everybody on the line. */
  const pressure = computed<PressureReport | null>(() => {
    if (!prepared.value || !front.value || !proof.value) return null;
    const onLine = front.value.defenders.filter((d) => levelOf(d) === 1).map((d) => d.id);
    const { rushers, twist } = chosen.value ?? proof.value.ways[0]?.smallest ?? { rushers: onLine, twist: null };
    return (
      tryPressure(prepared.value, front.value, rushers, twist) ?? tryPressure(prepared.value, front.value, onLine, null)
    );
  });

  function choose(rushers: readonly string[], twist: readonly [string, string] | null): void {
    chosen.value = { rushers: [...rushers], twist: twist && [twist[0], twist[1]] };
  }

  /** Sends a defender or calls him back; a twist he was in is off. */
  function toggleRusher(id: string): void {
    const now = pressure.value;
    if (!now) return;
    const comes = now.rushers.includes(id);
    choose(
      comes ? now.rushers.filter((r) => r !== id) : [...now.rushers, id],
      now.twist?.includes(id) ? null : now.twist,
    );
  }

  function switchTag(name: string): void {
    if (prepared.value) setUp({ ...call.value, ...toggleTag(prepared.value.scheme, call.value, name) });
  }

  function make({ change }: ProtectionMend): void {
    if (change.kind === 'side') setUp({ ...call.value, side: call.value.side === 'left' ? 'right' : 'left' });
    else if (change.kind === 'mike') setUp({ ...call.value, mike: change.id });
    else switchTag(change.tag);
  }

  return {
    call,
    front,
    formation,
    problems,
    selected,
    chosen,
    protections,
    prepared,
    resolution,
    proof,
    mends,
    trying: advice.running,
    tags,
    pressure,
    overrides,
    setUp,
    choose,
    toggleRusher,
    switchTag,
    make,
  };
});
