import PrimeVue from 'primevue/config';
import 'virtual:interface.css';
import { styleNumber } from '~/features/session/style-number';

/** The interface components; their look is a style sheet of the page, and what else they write into it carries the number of the page. */
export default defineNuxtPlugin(({ vueApp }) => {
  vueApp.use(PrimeVue, { ripple: false, theme: 'none', csp: { nonce: styleNumber() } });
});
