<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { computed, ref } from 'vue';
import { faultName } from '#core/model/faults';
import { CONTACTS, DAILY, HOUSE_RULES, type Drill } from '#core/model/drill';
import { cautionsOfDrill, sayContact } from '#core/practice/cautions';
import { blockWord } from '#core/plan/say-number';
import { usePlaybook } from '~/features/playbook/store';
import { useSession } from '~/features/session/store';
import WeekHead from '~/features/week/WeekHead.vue';
import DrillForm from './DrillForm.vue';

/** The drill library: what each is for, how it is run, what to be careful with; the program's own stand among them. */
const playbook = usePlaybook();
const session = useSession();
const route = useRoute();
const router = useRouter();
const filter = ref('');
const isEditing = ref(false);

const drills = computed(() => [...playbook.book.drills()].sort((a, b) => a.name.localeCompare(b.name, 'en')));
const faultsOf = (d: Drill): string[] => d.faults.map((f) => faultName(f, playbook.program.faults));
/** By any word of it: a name, a block, a fault, equipment. */
const shown = computed(() => {
  const wanted = filter.value.trim().toLowerCase();
  const textOf = (d: Drill): string =>
    [
      d.name,
      d.purpose,
      ...d.blocks.map(blockWord),
      ...faultsOf(d),
      ...d.equipment,
      ...d.units,
      CONTACTS[d.contact].name,
    ].join(' ');
  return drills.value.filter((d) => textOf(d).toLowerCase().includes(wanted));
});
const drill = computed(() => drills.value.find((d) => d.id === route.query.drill) ?? shown.value[0] ?? null);
const isOwn = computed(() => drill.value !== null && playbook.own('drills', drill.value.id) !== null);
function open(id: string): void {
  isEditing.value = false;
  void router.replace({ query: { ...route.query, drill: id } });
}
const who = computed(() => {
  const d = drill.value!;
  const with_ = d.extras ? `, ${d.extras} more to hold, rush or run` : '';
  const at = d.atOnce ? `, at most ${howMany(d.atOnce, 'group')} at once` : '';
  return `${howMany(d.each, 'man', 'men')} a rep${with_}${at}`;
});
</script>

<template>
  <div class="place">
    <WeekHead
      title="Drills"
      :says="`${drills.length} drills, each tied to the blocks it teaches and the faults it mends. They are advice: a coach who knows his men and his rules decides.`"
    />
    <div class="page-parts">
      <nav aria-label="Drills">
        <input
          v-model="filter"
          class="field find"
          type="search"
          placeholder="block, fault, equipment …"
          aria-label="Find a drill"
        />
        <ul>
          <li v-for="d in shown" :key="d.id">
            <button class="plain" type="button" :aria-current="d.id === drill?.id" @click="open(d.id)">
              {{ d.name }} <span v-if="d.daily" class="soft">daily</span>
            </button>
          </li>
        </ul>
        <p v-if="shown.length === 0" class="soft">No drill has this word.</p>
      </nav>
      <article v-if="drill && !isEditing">
        <h2>{{ drill.name }}</h2>
        <p class="purpose">{{ drill.purpose }}</p>
        <p v-if="drill.daily" class="soft">{{ DAILY[drill.daily] }}</p>
        <dl>
          <dt>Teaches</dt>
          <dd>{{ drill.blocks.map(blockWord).join(', ') || 'every block' }}: {{ drill.phases.join(', ') }}</dd>
          <dt>Mends</dt>
          <dd>{{ faultsOf(drill).join(', ') }}</dd>
          <dt>For</dt>
          <dd>{{ drill.units.join(', ') || 'everybody' }}</dd>
          <dt>Bodies</dt>
          <dd>{{ who }}, about {{ drill.pace }} reps a minute each group</dd>
          <dt>Time</dt>
          <dd>{{ drill.minutes.least }} to {{ drill.minutes.usual }} minutes</dd>
          <dt>Bring</dt>
          <dd>{{ drill.equipment.join(', ') || 'nothing' }}</dd>
          <dt>Contact</dt>
          <dd>
            {{ sayContact(drill.contact) }}<template v-if="drill.watched">; never without a coach at it</template>
          </dd>
          <template v-if="drill.house !== 'none'">
            <dt>House</dt>
            <dd>
              {{ HOUSE_RULES[drill.house] }}:
              {{ playbook.program.practice?.house[drill.house] === false ? 'not used here' : 'used here' }}
            </dd>
          </template>
        </dl>
        <h3>From easy to hard</h3>
        <ol>
          <li v-for="step in drill.ladder" :key="step">{{ step }}</li>
        </ol>
        <ul v-if="cautionsOfDrill(drill).length" class="cautions">
          <li v-for="c in cautionsOfDrill(drill)" :key="c">{{ c }}</li>
        </ul>
        <p v-if="session.coach">
          <button class="plain link" type="button" @click="isEditing = true">
            {{ isOwn ? 'Change it' : 'Make it our own' }}
          </button>
        </p>
      </article>
      <DrillForm v-else-if="drill" :drill="drill" @kept="open" @leave="isEditing = false" />
    </div>
  </div>
</template>

<style scoped>
.page-parts {
  grid-template-columns: 250px minmax(0, 760px);
}
.find {
  width: 100%;
  max-width: none;
}
nav ul {
  margin-top: 8px;
  columns: 1;
}
nav li button {
  padding: 3px 8px;
  width: 100%;
  border-left: 3px solid transparent;
  font-variation-settings: var(--narrow);
}
nav li button:hover {
  color: var(--violet);
}
nav [aria-current='true'] {
  background: var(--wash);
  border-left-color: var(--violet);
  font-weight: 650;
}
nav .soft {
  font-size: 11.5px;
  font-weight: 400;
}
article {
  position: sticky;
  top: 14px;
  display: grid;
  gap: 8px;
}
h2 {
  font-size: 20px;
  color: var(--ink);
}
h3 {
  font-size: 13px;
  color: var(--soft);
  margin: 8px 0 0;
}
.purpose {
  font-size: 16px;
  max-width: 56ch;
}
dl {
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr);
  gap: 5px 12px;
}
dt {
  color: var(--soft);
}
ol {
  list-style: decimal;
  padding-left: 22px;
}
.cautions {
  border-left: 3px solid var(--broken);
  padding: 4px 0 4px 12px;
  max-width: 62ch;
}
.cautions li + li {
  margin-top: 3px;
}
@media (max-width: 900px) {
  nav ul {
    max-height: 200px;
    overflow-y: auto;
  }
}
</style>
