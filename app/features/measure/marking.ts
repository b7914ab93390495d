import { computed, ref, type Ref } from 'vue';
import { calibrate } from '#core/film/calibrate/calibrate';
import { project } from '#core/film/calibrate/camera';
import { acrossFeet } from '#core/film/calibrate/field-marks';
import {
  ACROSS,
  type Across,
  type Calibration,
  type CalibrationInput,
  type FieldMark,
  type FieldType,
  type Pixel,
} from '#core/model/calibration';

/** A click this near to where a mark must be takes its name, pixels at a picture 1000 wide. */
const NEAR = 25;
/** Crossings that anybody can click. */
const CROSSINGS = ACROSS.filter((a) => a !== 'anywhere');

/** Naming field marks on one picture. The next name is guessed: from the camera once there is one, else the other side of the same line. */
export function useMarking(size: Ref<{ width: number; height: number }>, frame: Ref<number>) {
  const field = ref<FieldType>('high school');
  const marks = ref<FieldMark[]>([]);
  const ball = ref<Pixel | null>(null);
  const moves = ref(false);
  const yard = ref(30);
  const across = ref<Across>('left hash');

  /** The camera that the marks give so far, as long as they give one; without a ball any mark stands for it. */
  const found = computed<Calibration | null>(() => {
    if (marks.value.length < 4) return null;
    const result = calibrate(inputWith(ball.value ?? marks.value[0]!.pixel, 0));
    return result.ok ? result.value : null;
  });
  /** The frame does not change the camera: while the film runs nothing is worked out again. */
  const inputWith = (at: Pixel, on: number): CalibrationInput => ({
    field: field.value,
    frame: on,
    ...size.value,
    marks: marks.value,
    ball: at,
    moves: moves.value,
  });
  const input = computed(() => (ball.value ? inputWith(ball.value, frame.value) : null));

  /** Crossings that are in the picture by the camera found, and nobody has clicked yet. */
  const expected = computed(() => {
    const camera = found.value?.camera;
    if (!camera) return [];
    const yards = marks.value.map((m) => m.yard);
    const [first, last] = [Math.min(...yards) - 10, Math.max(...yards) + 15];
    const list: { yard: number; across: Across; pixel: Pixel }[] = [];
    for (let y = Math.ceil(Math.max(0, first) / 5) * 5; y <= Math.min(100, last); y += 5)
      for (const a of CROSSINGS) {
        const pixel = project(camera, { x: acrossFeet(a, field.value)!, y: y * 3, z: 0 }, size.value);
        const { width, height } = size.value;
        if (!pixel || pixel.x < 0 || pixel.y < 0 || pixel.x > width || pixel.y > height) continue;
        if (!marks.value.some((m) => m.yard === y && m.across === a)) list.push({ yard: y, across: a, pixel });
      }
    return list;
  });

  /** The crossing a click must be on: the one that is named next before others, else one that stands alone there. */
  function crossingAt(pixel: Pixel) {
    const near = expected.value
      .map((e) => ({ ...e, away: Math.hypot(e.pixel.x - pixel.x, e.pixel.y - pixel.y) }))
      .filter((e) => e.away < (NEAR * size.value.width) / 1000)
      .sort((a, b) => a.away - b.away);
    const named = near.find((e) => e.yard === yard.value && e.across === across.value);
    // Far off lines crowd together: of two that are about as near nobody knows which is meant.
    const alone = near.length > 1 && near[1]!.away < 2 * near[0]!.away ? undefined : near[0];
    return named ?? alone;
  }

  /** Takes a click as the mark that must be there, or the one that is named next. */
  function click(pixel: Pixel): void {
    const near = crossingAt(pixel);
    const named = near ? { yard: near.yard, across: near.across } : { yard: yard.value, across: across.value };
    const rest = marks.value.filter(
      (m) => named.across === 'anywhere' || m.yard !== named.yard || m.across !== named.across,
    );
    marks.value = [...rest, { ...named, pixel }];
    suggestNext(named);
  }
  function suggestNext(now: { yard: number; across: Across }): void {
    const other: Partial<Record<Across, Across>> = { 'left hash': 'right hash', 'left sideline': 'right sideline' };
    const opposite = other[now.across];
    yard.value = opposite || now.across === 'anywhere' ? now.yard : now.yard + 5;
    across.value = opposite ?? (now.across === 'right hash' ? 'left hash' : now.across);
  }
  const remove = (mark: FieldMark): void => void (marks.value = marks.value.filter((m) => m !== mark));
  function begin(from: Calibration | null): void {
    marks.value = from ? [...from.marks] : [];
    ball.value = from?.ball ?? null;
    moves.value = from?.moves ?? false;
    if (from) field.value = from.field;
  }

  return { field, marks, ball, moves, yard, across, found, input, expected, click, remove, begin };
}
