import { describe, expect, it } from 'vitest';
import { linksFor, placesOf, type BuiltFile } from './places';

const file = (name: string, modules: string[], imports: string[], css: string[] = []): BuiltFile => ({
  file: name,
  isEntry: name === 'e.js',
  modules,
  imports,
  css,
});
const BUILT = [
  file('e.js', ['entry.ts'], ['vue.js'], ['e.css']),
  file('vue.js', ['vue'], []),
  file('rules.js', ['rules.ts', 'pages/quiz.vue'], ['words.js', 'vue.js']),
  // Two that need each other.
  file('words.js', ['words.ts'], ['rules.js']),
  file('frame.js', ['frame.vue', 'books.ts'], ['e.js', 'from-elsewhere.js'], ['frame.css']),
  file('film.js', ['pages/film.vue'], ['e.js', 'rules.js'], ['film.css']),
  file('home.js', ['pages/index.vue'], ['e.js']),
];
const PAGES = [
  { path: '/film/:id?', module: 'pages/film.vue' },
  { path: '/film/cut/:id()', module: 'pages/quiz.vue' },
  { path: '/', module: 'pages/index.vue' },
];

describe('what a place needs, known before it asks', () => {
  const places = placesOf(BUILT, PAGES, ['frame.vue', 'books.ts']);

  it('is all that it and what it needs bring, each once, and nothing the page names already', () => {
    expect(places).toEqual([
      {
        path: '/film/:id?',
        files: ['frame.js', 'frame.css', 'words.js', 'rules.js', 'film.js', 'film.css'],
      },
      { path: '/film/cut/:id()', files: ['frame.js', 'frame.css', 'words.js', 'rules.js'] },
      { path: '/', files: ['frame.js', 'frame.css', 'home.js'] },
    ]);
  });

  it('is refused where a place or what all need is not there', () => {
    expect(() => placesOf(BUILT, [{ path: '/gone', module: 'pages/gone.vue' }], [])).toThrow('pages/gone.vue');
    expect(() => placesOf(BUILT, PAGES, ['nowhere.ts'])).toThrow('nowhere.ts');
  });

  it.each([
    ['/film', 'film.js'],
    ['/film/12', 'film.js'],
    ['/film/cut/12', 'rules.js'],
    ['/', 'home.js'],
  ])('is said for %s', (path, file) => {
    expect(linksFor(places)(path)).toContain(`<link rel="modulepreload" crossorigin href="/${file}">`);
    expect(linksFor(places)(path)).toContain('<link rel="preload" as="style" crossorigin href="/frame.css">');
  });

  it.each(['/nowhere', '/film/1/2/3', '/toString', '/__proto__'])('is nothing for %s, where no place is', (path) => {
    expect(linksFor(places)(path)).toBe('');
  });
});
