/** How an import ended: marks that wait for the server, and those that met another's, are said apart. */
export function sayWritten(given: number, waiting: number, aside: number): string {
  const marks = (n: number): string => `${n} ${n === 1 ? 'mark' : 'marks'}`;
  const arrived = given - waiting - aside;
  return [
    `${marks(arrived)} ${arrived === 1 ? 'is' : 'are'} in.`,
    waiting ? `${marks(waiting)} kept on this machine until the server can be reached.` : '',
    aside ? `${marks(aside)} ${aside === 1 ? 'lies' : 'lie'} aside: say which stands.` : '',
  ]
    .filter(Boolean)
    .join(' ');
}
