<script setup lang="ts">
import { refOf } from '#core/grade/rubrics/rubric';
import { RUBRICS } from '#core/grade/rubrics/index';
import { useGrading } from './store';

/** With what the season is graded. */
const grading = useGrading();
</script>

<template>
  <div>
    <label v-for="r in RUBRICS" :key="refOf(r)" class="rubric">
      <input
        type="radio"
        name="rubric"
        :checked="grading.season?.rubric === refOf(r)"
        @change="
          grading.changeSeason({ rubric: refOf(r) }, `From now on: ${r.name}. What was graded before stays as it was.`)
        "
      />
      <span
        ><b>{{ r.name }}</b> {{ r.says }}</span
      >
    </label>
  </div>
</template>

<style scoped>
.rubric {
  display: flex;
  gap: 8px;
  padding: 4px 0;
  align-items: baseline;
}
input {
  accent-color: var(--violet);
}
</style>
