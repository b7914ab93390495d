<script setup lang="ts">
import { computed } from 'vue';
import type { MeasuredFront } from '#core/film/alignment/front';
import { ellipseOf } from '#core/film/calibrate/uncertainty';
import { describePlaces } from '#core/reports/formation-places';
import { formationAsMeasured, sameAlignment } from '#core/film/alignment/front';
import { trim } from '#core/geometry/units';
import type { WorkedCall } from '#core/calls/resolve-call';
import { useMeasure } from './store';
import type { Named } from './men';
import type { Stances } from './stances';

const props = defineProps<{
  call: WorkedCall;
  men: readonly Named[];
  next: Named | null;
  read: MeasuredFront | null;
  family: string;
  /** Clicks go to the feet they were meant for. */
  assists: boolean;
  /** They are told by what the film shows at the same place later, too. */
  byDifference: boolean;
  stances: Stances;
}>();
const emit = defineEmits<{ choose: [man: Named]; keep: []; assist: [on: boolean] }>();
const store = useMeasure();

const clicked = (man: Named): readonly string[] =>
  store.measuring.atSnap.filter((f) => f.id === man.id && f.team === man.team).map((f) => f.angle);
const splits = computed(() => {
  const line = describePlaces(formationAsMeasured(props.call.formation, store.places));
  return new Map(line.map((p) => [p.id, p.says]));
});
const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** A man with what his place says: where he is clicked from, his technique or split, how sure, and how well his place is known. */
const rows = computed(() =>
  props.men.map((man) => {
    const place = store.places.find((p) => p.id === man.id && p.team === man.team);
    const named = man.team === 'defence' ? props.read?.men.find((m) => m.id === man.id) : undefined;
    const sure =
      named && named.sure < 0.995 ? `, ${percent(named.sure)} sure${named.else ? `, else ${named.else}` : ''}` : '';
    const says = !place ? '' : named ? `${named.technique.label}${sure}` : (splits.value.get(man.id) ?? '');
    const error = place ? `± ${trim(ellipseOf(place.spread).major * 12, 0)} in` : '';
    return { man, from: clicked(man), says, error, stance: props.stances.sayOf(man) };
  }),
);
/** Whose feet are clicked next. */
const wanted = computed(() => (props.stances.isOn.value ? props.stances.next.value : props.next));
const asks = computed(() => {
  const who = wanted.value?.id;
  if (!props.stances.isOn.value)
    return who ? `Click between the feet of ${who}.` : 'Everybody is clicked in this angle.';
  if (!who) return 'Both feet of the whole line are clicked in this angle.';
  return props.stances.foot.value ? `Click the other foot of ${who}.` : `Click a foot of ${who}.`;
});
const help = computed(() => {
  const by = props.byDifference ? 'by colour and by what is there later' : 'by colour';
  return `a click goes to the feet beside it, ${by}; a man you choose first stays where you click`;
});
const choose = (man: Named): void => (props.stances.isOn.value ? props.stances.choose(man) : emit('choose', man));
const count = computed(() => rows.value.filter((r) => r.from.length > 0).length);
/** The front as it is written differs from what was logged. */
const differs = computed(() => props.read !== null && !sameAlignment(props.read.front, props.call.front));
</script>

<template>
  <section aria-label="Feet at the snap">
    <p class="says" role="status">
      {{ asks }} <template v-if="!stances.isOn.value">{{ count }} of {{ men.length }} placed.</template>
    </p>
    <label class="soft assist"
      ><input
        type="checkbox"
        :checked="assists"
        @change="emit('assist', ($event.target as HTMLInputElement).checked)"
      />
      <span><kbd>a</kbd> {{ help }}</span>
    </label>
    <label class="soft assist"
      ><input type="checkbox" :checked="stances.isOn.value" @change="stances.toggle()" />
      <span><kbd>f</kbd> both feet of each lineman, two clicks a man: how he stands</span>
    </label>
    <table>
      <tbody>
        <tr v-for="r in rows" :key="`${r.man.team}${r.man.id}`" :class="{ next: r.man === wanted, [r.man.team]: true }">
          <th scope="row">
            <button
              class="plain"
              type="button"
              :aria-pressed="r.man === wanted"
              :disabled="stances.isOn.value && !stances.isMeasured(r.man)"
              @click="choose(r.man)"
            >
              {{ r.man.id }}
            </button>
          </th>
          <td>
            {{ r.says }}<span v-if="r.stance" class="soft stance">{{ r.stance }}</span>
          </td>
          <td class="soft">{{ r.error }}</td>
          <td class="soft">{{ r.from.length === 2 ? 'both' : r.from.length === 1 ? 'one' : '' }}</td>
        </tr>
      </tbody>
    </table>
    <div v-if="read && read.men.length" class="front">
      <p>
        The front is <b>{{ family }}</b>.
      </p>
      <p class="soft">{{ read.text }}</p>
      <button v-if="differs" class="strong" type="button" @click="emit('keep')">Keep this front with the snap</button>
      <p v-else class="soft">It is the front that was logged.</p>
    </div>
  </section>
</template>

<style scoped>
.says {
  font-weight: 600;
}
.stance {
  display: block;
}
.assist {
  display: flex;
  gap: 6px;
  align-items: baseline;
  font-size: 12.5px;
}
table {
  width: 100%;
  border-collapse: collapse;
  margin: 8px 0;
  font-size: 13px;
}
th {
  text-align: left;
  width: 44px;
}
td,
th {
  padding: 2px 4px 2px 0;
  border-bottom: 1px solid var(--rule);
}
tr.defence th button {
  color: var(--defence);
}
tr.next {
  background: var(--wash);
}
th button {
  font-weight: 650;
}
td:nth-child(3) {
  white-space: nowrap;
  text-align: right;
}
.front {
  margin-top: 10px;
}
</style>
