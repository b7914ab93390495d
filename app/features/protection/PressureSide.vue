<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { computed } from 'vue';
import type { PressureReport } from '#core/model/pressure';
import { upperFirst } from '~/features/board/words';
import MatchupList from './MatchupList.vue';
import { useProtection } from './store';

const p = useProtection();
const shown = computed(() => p.proof?.ways.slice(0, 7) ?? []);
const isOn = (r: PressureReport): boolean =>
  r.rushers.join() === p.pressure?.rushers.join() && r.twist?.join() === p.pressure.twist?.join();
const say = ({ rushers, twist }: PressureReport): string =>
  `${rushers.join(', ')}${twist ? `; ${twist[0]} goes, ${twist[1]} loops` : ''}`;
</script>

<template>
  <aside v-if="p.proof" aria-label="What beats it and what mends it">
    <section>
      <h2>How many come</h2>
      <table>
        <thead>
          <tr>
            <th scope="col">Come</th>
            <th scope="col">Pressures</th>
            <th scope="col">Late</th>
            <th scope="col">Short</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="n in p.proof.byNumber" :key="n.rushers">
            <th scope="row">{{ n.rushers }}</th>
            <td>{{ n.counts.all }}</td>
            <td>{{ n.counts.late || '·' }}</td>
            <td :class="{ bad: n.counts.short }">{{ n.counts.short || '·' }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <section>
      <h2>What beats it</h2>
      <p v-if="!shown.length" class="soft">No pressure of four to seven frees anybody in time.</p>
      <ul v-else>
        <li v-for="w in shown" :key="`${w.id} ${w.gap}`">
          <button
            class="plain link"
            type="button"
            :aria-pressed="isOn(w.smallest)"
            @click="p.choose(w.smallest.rushers, w.smallest.twist)"
          >
            {{ w.id }}, {{ w.gap }}: {{ w.soonest.toFixed(1) }} s
          </button>
          <span class="soft">{{ howMany(w.count, 'time') }}; plainest: {{ say(w.smallest) }}</span>
        </li>
      </ul>
    </section>
    <section>
      <h2>What mends it</h2>
      <ul v-if="p.mends.length">
        <li v-for="m in p.mends" :key="m.what">
          <button class="plain link" type="button" @click="p.make(m)">{{ upperFirst(m.what) }}</button>{{ ' ' }}
          <span class="soft">short {{ m.short }} instead of {{ p.proof.counts.short }}</span>
        </li>
      </ul>
      <p v-else-if="p.trying" class="soft" role="status">Trying the other side, other Mikes and tags …</p>
      <p v-else class="soft">
        {{
          p.proof.counts.short
            ? 'Neither the other side, another Mike nor a tag helps; look at the other protections below.'
            : 'Nothing to mend.'
        }}
      </p>
    </section>
    <section>
      <h2>When only the line comes</h2>
      <p>
        <b>Alone:</b>
        {{
          p.proof.alone
            .map(
              (a) =>
                `${a.blocker} on ${a.on} (${a.spare >= 0 ? `${a.spare.toFixed(1)} s in hand` : `${(-a.spare).toFixed(1)} s late`})`,
            )
            .join(', ') || 'nobody'
        }}
      </p>
      <MatchupList :proof="p.proof" />
      <p class="soft">
        How good each is from 1 to 5, typed by the line coach until grades say it; the whole staff sees them.
      </p>
      <p>
        <b>Two on one:</b> {{ p.proof.doubles.map((d) => `${d.by.join(' and ')} on ${d.on}`).join(', ') || 'nobody' }}
      </p>
    </section>
  </aside>
</template>

<style scoped>
aside {
  border-left: 1px solid var(--rule);
  padding: 12px 16px;
  display: flex;
  flex-direction: column;
  gap: 12px;
  font-size: 13.5px;
}
section {
  display: grid;
  gap: 5px;
}
section + section {
  border-top: 1px solid var(--rule);
  padding-top: 11px;
}
table {
  border-collapse: collapse;
  font-variant-numeric: tabular-nums;
}
th,
td {
  text-align: right;
  padding: 2px 6px;
  font-weight: 400;
  border-bottom: 1px solid var(--rule);
}
thead th {
  color: var(--soft);
  font-size: 12px;
}
th:first-child {
  text-align: left;
}
.bad {
  color: var(--broken);
  font-weight: 700;
}
ul {
  display: grid;
  gap: 6px;
}
li {
  display: grid;
  gap: 1px;
}
li .soft {
  font-size: 12.5px;
}
[aria-pressed='true'] {
  font-weight: 700;
}
</style>
