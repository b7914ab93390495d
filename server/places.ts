import { addRoute, createRouter, findRoute } from 'rou3';

/** A file of the built page: the modules in it, the files that have to be there before it runs, and the styles it brings. */
export interface BuiltFile {
  readonly file: string;
  readonly isEntry: boolean;
  readonly modules: readonly string[];
  readonly imports: readonly string[];
  readonly css: readonly string[];
}

/** A place of the application: the pattern of its address, and the files a browser needs for it beside those the page itself names. */
export interface Place {
  readonly path: string;
  readonly files: readonly string[];
}

/** All files that have to be there for the given ones, each once, what is needed first. */
function closureOf(built: ReadonlyMap<string, BuiltFile>, wanted: readonly BuiltFile[]): Set<string> {
  const met = new Set<string>();
  const files = new Set<string>();
  const meet = (one: BuiltFile): void => {
    if (met.has(one.file)) return;
    met.add(one.file);
    for (const needed of one.imports) if (built.has(needed)) meet(built.get(needed)!);
    for (const file of [one.file, ...one.css]) files.add(file);
  };
  wanted.forEach(meet);
  return files;
}

/**
 * What each place needs, from what was built.
 * @param pages the places by their patterns, each with the module that shows it
 * @param everywhere modules that every place needs
 * @throws where a module is not in what was built: the place would come slowly and nobody would know why
 */
export function placesOf(
  files: readonly BuiltFile[],
  pages: readonly { readonly path: string; readonly module: string }[],
  everywhere: readonly string[],
): Place[] {
  const built = new Map(files.map((file) => [file.file, file]));
  const whereIs = new Map(files.flatMap((file) => file.modules.map((module) => [module, file] as const)));
  const fileOf = (module: string): BuiltFile => {
    const file = whereIs.get(module);
    if (!file) throw new Error(`${module} is not in what was built`);
    return file;
  };
  const first = closureOf(
    built,
    files.filter((file) => file.isEntry),
  );
  return pages.map(({ path, module }) => {
    const needed = closureOf(built, [...everywhere, module].map(fileOf));
    return { path, files: [...needed].filter((file) => !first.has(file)) };
  });
}

const linkTo = (file: string): string =>
  file.endsWith('.css')
    ? `<link rel="preload" as="style" crossorigin href="/${file}">`
    : `<link rel="modulepreload" crossorigin href="/${file}">`;

/** Says of an address what a browser may fetch for it while the page itself is still coming, as it is written into the page. */
export function linksFor(places: readonly Place[]): (path: string) => string {
  const router = createRouter<string>();
  for (const { path, files } of places) addRoute(router, 'GET', path.replaceAll('()', ''), files.map(linkTo).join(''));
  return (path) => findRoute(router, 'GET', path)?.data ?? '';
}
