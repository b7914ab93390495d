<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { placesOf, SeatSchema, type Player } from '#core/roster/player';
import { readPosition } from '#core/roster/positions';
import { useSession } from '~/features/session/store';
import TeamHead from '~/features/team/TeamHead.vue';
import RosterText from './RosterText.vue';
import { useRoster } from './store';

/** The men of the program: numbers, who plays where, where else they can, and who has left. */
const roster = useRoster();
const session = useSession();
const filter = ref('');
onMounted(() => void roster.open());

const LINE = ['LT', 'LG', 'C', 'RG', 'RT', 'Y'];
const shown = computed(() => {
  const wanted = filter.value.trim().toLowerCase();
  return roster.players.filter((p) => `${p.number} ${p.name} ${placesOf(p).join(' ')}`.toLowerCase().includes(wanted));
});
/** The line as it stands, and who could stand there. */
const line = computed(() =>
  LINE.map((seat) => ({
    seat,
    first: roster.here.find((p) => p.seat === seat) ?? null,
    others: roster.here.filter((p) => p.seat !== seat && p.seats.includes(seat)),
  })),
);

function setSeat(p: Player, value: string): void {
  const seat = value.trim().toUpperCase();
  if (seat !== '' && !SeatSchema.safeParse(seat).success) {
    roster.problem = `"${value}" is no place such as LT, C or Y. Nothing was changed.`;
    return;
  }
  void roster.change(p, { seat });
}
function setSeats(p: Player, value: string): void {
  const { seat, seats, unknown } = readPosition(value);
  if (unknown.length) {
    roster.problem = `"${unknown.join(' ')}" is no place or position. Nothing was changed.`;
    return;
  }
  void roster.change(p, { seats: [seat, ...seats].filter(Boolean) });
}
function setNumber(p: Player, value: string): void {
  const number = Number(value);
  if (!/^\d{1,2}$/.test(value.trim())) {
    roster.problem = `"${value}" is no number from 0 to 99. Nothing was changed.`;
    return;
  }
  void roster.change(p, { number });
}
function setWeight(p: Player, value: string): void {
  const weight = value.trim() === '' ? null : Number(value);
  if (weight !== null && !(Number.isInteger(weight) && weight >= 60 && weight <= 600)) {
    roster.problem = `"${value}" is no weight from 60 to 600 pounds. Nothing was changed.`;
    return;
  }
  void roster.change(p, { weight });
}
/** The man somebody is about to erase. */
const erasing = ref<number | null>(null);
async function erase(p: Player): Promise<void> {
  erasing.value = null;
  await roster.erase(p);
}
</script>

<template>
  <div class="place">
    <TeamHead
      title="The men"
      says="Games that were played keep who played where and with which number, whatever is changed here."
    />
    <p v-if="roster.problem" class="page-problem" role="alert">{{ roster.problem }}</p>
    <p v-if="roster.notice" class="page-notice" role="status">{{ roster.notice }}</p>
    <section v-if="roster.here.length" class="line" aria-label="The line">
      <div v-for="l in line" :key="l.seat">
        <b>{{ l.seat }}</b>
        <p>{{ l.first ? `${l.first.number} ${l.first.name}` : 'nobody yet' }}</p>
        <p v-for="o in l.others" :key="o.id" class="soft">{{ o.number }} {{ o.name }}</p>
      </div>
    </section>
    <div class="page-parts">
      <section v-if="roster.players.length" aria-label="Roster">
        <input v-model="filter" class="field" type="search" placeholder="find a man" aria-label="Find a man" />
        <div>
          <fieldset class="page-scroller" :disabled="!session.staff">
            <legend class="visually-hidden">Roster</legend>
            <table class="page-table" aria-label="Roster">
              <thead>
                <tr>
                  <th scope="col">No.</th>
                  <th scope="col">Name</th>
                  <th scope="col">Plays</th>
                  <th scope="col">Can also play</th>
                  <th scope="col">On defence</th>
                  <th scope="col">Pounds</th>
                  <th scope="col"><span class="visually-hidden">Left</span></th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="p in shown" :key="p.id" :class="{ left: p.left }">
                  <td>
                    <CellField narrow :value="p.number" :label="`Number of ${p.name}`" @write="setNumber(p, $event)" />
                  </td>
                  <td>
                    <CellField
                      :value="p.name"
                      :label="`Name of ${p.number}`"
                      @write="roster.change(p, { name: $event })"
                    />
                  </td>
                  <td>
                    <CellField
                      narrow
                      :value="p.seat"
                      :most="3"
                      :label="`Where ${p.name} plays`"
                      @write="setSeat(p, $event)"
                    />
                  </td>
                  <td>
                    <CellField
                      :value="p.seats.join(' ')"
                      :label="`Where else ${p.name} can play`"
                      @write="setSeats(p, $event)"
                    />
                  </td>
                  <td>
                    <CellField
                      narrow
                      :value="p.defence"
                      :most="20"
                      :label="`Where ${p.name} plays on defence`"
                      @write="roster.change(p, { defence: $event })"
                    />
                  </td>
                  <td>
                    <CellField
                      narrow
                      type="number"
                      :value="p.weight ?? ''"
                      :label="`What ${p.name} weighs, pounds`"
                      @write="setWeight(p, $event)"
                    />
                  </td>
                  <td>
                    <button class="plain link" type="button" @click="roster.change(p, { left: !p.left })">
                      {{ p.left ? 'is back' : 'has left' }}
                    </button>
                    <template v-if="p.left && session.coach">
                      <button v-if="erasing !== p.id" class="plain link" type="button" @click="erasing = p.id">
                        erase
                      </button>
                      <p v-else class="sure">
                        His name, notes, the history of his marks and his account go for good; counts stay. Film he is
                        seen on stays, and so do copies and backups made before: delete those by hand.
                        <button class="plain link" type="button" @click="erase(p)">Erase {{ p.name }}</button>
                        <button class="plain link" type="button" @click="erasing = null">keep him</button>
                      </p>
                    </template>
                  </td>
                </tr>
              </tbody>
            </table>
          </fieldset>
        </div>
      </section>
      <RosterText v-if="session.staff" />
    </div>
  </div>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: repeat(6, minmax(0, 1fr));
  gap: 8px;
  padding: 12px 20px;
  border-bottom: 1px solid var(--rule);
  font-size: 13px;
}
.page-parts {
  grid-template-columns: minmax(0, 3fr) minmax(260px, 2fr);
}
.page-parts > :only-child {
  grid-column: 1 / -1;
}
.page-table {
  width: 100%;
  margin-top: 8px;
}
.left :deep(input) {
  color: var(--soft);
}
td button {
  white-space: nowrap;
  margin-right: 10px;
}
.sure {
  max-width: 260px;
  font-size: 13px;
}
@media (max-width: 900px) {
  .line {
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
}
</style>
