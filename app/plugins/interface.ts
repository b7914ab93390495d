import PrimeVue from 'primevue/config';
import { styleNumber } from '~/features/session/style-number';
import { chalkPreset } from '~/theme/preset';

/** The interface components in the product's own tokens; what they write into the page as styles carries the number of the page. */
export default defineNuxtPlugin(({ vueApp }) => {
  vueApp.use(PrimeVue, {
    ripple: false,
    theme: { preset: chalkPreset, options: { darkModeSelector: '[data-theme="board"]', cssLayer: false } },
    csp: { nonce: styleNumber() },
  });
});
