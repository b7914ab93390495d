import type { Directive } from 'vue';

type Field = HTMLInputElement | HTMLTextAreaElement;

/** Fields somebody is typing in: what stands there has not been said yet. */
const typing = new WeakSet<Field>();

/**
 * `v-typed`, beside `:value` and `@change`: what is being typed in a field stays until the field is left, whatever is drawn anew around it
 * meanwhile. Without it an answer of the server that comes in while somebody types puts back what stood there.
 */
export const typed: Directive<Field> = {
  created(field) {
    field.addEventListener('input', () => void typing.add(field));
    for (const said of ['change', 'blur']) field.addEventListener(said, () => void typing.delete(field));
  },
  beforeUpdate(field) {
    if (!typing.has(field)) return;
    // Not written and written back: a browser that sees its field written to no longer says that it was changed.
    const { value } = field;
    Object.defineProperty(field, 'value', { configurable: true, get: () => value, set: () => {} });
  },
  updated(field) {
    delete (field as { value?: string }).value;
  },
};
