<script setup lang="ts">
import { upperFirst } from '~/features/board/words';
import { usePlaybook } from '~/features/playbook/store';
import { useWalkthrough } from './store';

const board = useWalkthrough();
const playbook = usePlaybook();
</script>

<template>
  <section>
    <h2>Beside another formation</h2>
    <select
      aria-label="Another line-up"
      :value="board.otherLineup ?? ''"
      @change="board.otherLineup = ($event.target as HTMLSelectElement).value || null"
    >
      <option value="">none</option>
      <optgroup v-if="board.motions.length" label="Motion">
        <option v-for="id in board.motions" :key="id" :value="`motion ${id}`">{{ id }} in motion across</option>
      </optgroup>
      <optgroup label="Formations">
        <option v-for="f in playbook.formations.filter((x) => x.id !== board.call.formation)" :key="f.id" :value="f.id">
          {{ f.name }}
        </option>
      </optgroup>
    </select>
    <dl v-for="l in board.lineups ?? []" :key="l.name">
      <dt>
        <b>{{ l.name }}</b>: {{ upperFirst(l.verdict) }}
      </dt>
      <dd>{{ l.numbers }}</dd>
      <dd class="soft">
        {{ l.free.length ? `Free in the box: ${l.free.join(', ')}.` : 'Nobody free in the box.' }}
        {{ l.left.length ? `Read or left: ${l.left.join(', ')}.` : '' }}
      </dd>
    </dl>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 5px;
  grid-template-columns: minmax(0, 1fr);
  border-top: 1px solid var(--rule);
  padding-top: 11px;
}
select {
  font: inherit;
  font-size: 13px;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 3px;
  padding: 2px 4px;
  max-width: 100%;
}
dl {
  display: grid;
  gap: 1px;
}
</style>
