<script setup lang="ts">
import { computed } from 'vue';
import { techniqueLines } from '#core/reports/technique-lines';
import type { Assignment, Resolution } from '#core/model/resolution';
import { blockName, upperFirst } from '~/features/board/words';
import { standardOf } from '#core/grade/standards';

const props = defineProps<{ assignment: Assignment; resolution: Resolution }>();
const how = computed(() => techniqueLines(props.assignment, props.resolution));
</script>

<template>
  <section aria-live="polite">
    <h2>
      Why {{ assignment.blocker }}: {{ blockName(assignment) }}{{ assignment.target ? ` ${assignment.target}` : '' }}
    </h2>
    <p>
      <b>{{ upperFirst(assignment.because.sentence) }}</b>{{ ' ' }}
      <span v-if="assignment.because.line" class="soft">line {{ assignment.because.line }}</span>
    </p>
    <p v-if="assignment.because.rather">{{ upperFirst(assignment.because.rather) }}.</p>
    <p v-for="f in assignment.followUps" :key="f">{{ upperFirst(f) }}.</p>
    <dl v-if="how.length" class="how">
      <template v-for="(line, n) in how" :key="n">
        <dt>{{ line.name }}</dt>
        <dd>{{ line.says }}</dd>
      </template>
    </dl>
    <p v-if="standardOf(assignment.block)" class="soft">Done when: {{ standardOf(assignment.block)!.doneWhen }}</p>
    <slot />
    <details v-if="assignment.because.passedOver.length" open>
      <summary class="link">Passed over ({{ assignment.because.passedOver.length }})</summary>
      <ol>
        <li v-for="p in assignment.because.passedOver" :key="p.line">
          <s class="soft">{{ upperFirst(p.sentence) }}</s><br />{{ upperFirst(p.reason) }}.
        </li>
      </ol>
    </details>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 6px;
}
.how {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 1px 10px;
  font-size: 13px;
}
.how dt {
  color: var(--soft);
}
summary {
  cursor: pointer;
}
ol {
  display: grid;
  gap: 6px;
  padding-top: 6px;
  font-size: 13px;
}
s {
  text-decoration-thickness: 1px;
}
</style>
