<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';

/** Keys as they are told: what is printed on them and what they do, in groups. */
const props = defineProps<{
  hands: readonly { readonly key: string; readonly cap: string; readonly says: string; readonly group: string }[];
}>();
const sheet = ref<HTMLDialogElement | null>(null);

const groups = computed(() => {
  return [...new Set(props.hands.map((h) => h.group))].map((name) => ({
    name,
    hands: props.hands.filter((h) => h.group === name),
  }));
});
async function open(): Promise<void> {
  await nextTick();
  sheet.value?.showModal();
}
defineExpose({ open });
</script>

<template>
  <dialog ref="sheet" aria-label="Keys" @click.self="sheet?.close()">
    <div class="groups">
      <section v-for="g in groups" :key="g.name">
        <h2>{{ g.name }}</h2>
        <dl>
          <template v-for="h in g.hands" :key="h.key"
            ><dt>
              <kbd>{{ h.cap }}</kbd>
            </dt>
            <dd>{{ h.says }}</dd></template
          >
        </dl>
      </section>
    </div>
    <form method="dialog"><button class="plain link">Close</button></form>
  </dialog>
</template>

<style scoped>
dialog {
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--rule);
  border-top: 4px solid var(--violet);
  padding: 16px 22px;
  max-width: min(900px, 92vw);
}
dialog::backdrop {
  background: rgb(28 20 38 / 45%);
}
.groups {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 40px;
}
dl {
  display: grid;
  grid-template-columns: 62px auto;
  gap: 5px 10px;
  padding: 8px 0;
  font-size: 13px;
}
form {
  text-align: right;
}
</style>
