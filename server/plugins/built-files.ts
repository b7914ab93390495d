import { builtFiles } from '../built-files';

/** Files of the page come out of memory; only what has gone through everything else once is ever kept. */
export default defineNitroPlugin((nitro) => {
  if (import.meta.dev) return;
  const files = builtFiles();
  nitro.h3App.stack.unshift({ route: '/', handler: files.answer });
  nitro.hooks.hook('afterResponse', files.keep);
});
