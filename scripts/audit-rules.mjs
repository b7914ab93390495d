/** Licences whose packages may be used: permissive ones, and those of which only data or unchanged files are taken. */
const PERMISSIVE = new Set([
  ...['MIT', 'MIT-0', 'ISC', 'Apache-2.0', 'BSD-2-Clause', 'BSD-3-Clause', '0BSD', 'BlueOak-1.0.0', 'CC0-1.0', 'Zlib'],
  ...['Unlicense', 'OFL-1.1', 'CC-BY-4.0', 'Python-2.0', 'WTFPL'],
]);
/** Named one by one, with why. */
const LOOKED_AT = {
  lightningcss: 'MPL-2.0: used as it is while the page is built, no file of it changed or shipped',
  'png-js': 'MIT, said in its LICENSE file only',
  'combine-errors': 'MIT, said in its Readme only',
};

/** Does a licence expression leave a permissive way? "A OR B" needs one of them, "A AND B" all. */
export function isPermissive(expression) {
  const plain = expression.replace(/[()]/g, '').trim();
  if (/ OR /.test(plain)) return plain.split(/ OR /).some(isPermissive);
  if (/ AND /.test(plain)) return plain.split(/ AND /).every(isPermissive);
  return PERMISSIVE.has(plain);
}

/**
 * Packages whose licence is none of those, of `{ name, license }`; a name with a slash before it is told by its own last part, so that
 * builds of one package for several machines are one.
 */
export function objectionable(packages) {
  const isLookedAt = (name) => Object.keys(LOOKED_AT).some((known) => name === known || name.startsWith(`${known}-`));
  return packages.filter(({ name, license }) => !isLookedAt(name) && (!license || !isPermissive(license)));
}

/** What an advisory service said: what is wrong, one line each, from "high" up; `null` when none answered. */
export function advisoriesIn(report) {
  if (!report || typeof report !== 'object' || !report.vulnerabilities) return null;
  return Object.values(report.vulnerabilities)
    .filter(({ severity }) => severity === 'high' || severity === 'critical')
    .map(({ name, severity, range }) => `${name} ${range}: ${severity}`)
    .sort();
}
