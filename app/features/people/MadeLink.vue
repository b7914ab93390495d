<script setup lang="ts">
import { useClipboard } from '@vueuse/core';
import { computed } from 'vue';
import type { MadeLink } from './store';

/** A link that opens something once, to be handed over. */
const props = defineProps<{ link: MadeLink }>();
const address = computed(() => `${window.location.origin}${props.link.path}#${props.link.token}`);
const { copy, copied, isSupported } = useClipboard();
</script>

<template>
  <div class="link-made" role="status">
    <p>
      The link for <b>{{ link.for }}</b>. It works once{{
        link.path === '/join' ? ', for two weeks' : ', for two hours'
      }}, and is shown only now{{ link.sent ? '; a letter with it is on its way too' : '' }}.
    </p>
    <p class="row">
      <input
        class="field"
        :value="address"
        readonly
        aria-label="Link"
        @focus="($event.target as HTMLInputElement).select()"
      />
      <button v-if="isSupported" class="plain link" type="button" @click="copy(address)">
        {{ copied ? 'copied' : 'copy' }}
      </button>
    </p>
  </div>
</template>

<style scoped>
.link-made {
  background: var(--wash);
  padding: 10px 14px;
  display: grid;
  gap: 6px;
}
.row {
  display: flex;
  gap: 12px;
}
input.field {
  flex: 1;
  width: 100%;
  min-width: 0;
}
</style>
