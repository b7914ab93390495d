import { howMany } from '#core/vocabulary/how-many';

const marks = (n: number): string => howMany(n, 'mark');

/** How an import ended: marks that wait for the server, and those that met another's, are said apart. */
export function sayWritten(given: number, waiting: number, aside: number): string {
  const arrived = given - waiting - aside;
  return [
    `${marks(arrived)} ${arrived === 1 ? 'is' : 'are'} in.`,
    waiting ? `${marks(waiting)} kept on this machine until the server can be reached.` : '',
    aside ? `${marks(aside)} ${aside === 1 ? 'lies' : 'lie'} aside: say which stands.` : '',
  ]
    .filter(Boolean)
    .join(' ');
}

/** What is pressed to take the last table back. */
export const sayTakeBack = (count: number): string => `take the table of ${count} back`;

/** How a table was taken back. */
export function sayTakenBack(back: number, stay: number): string {
  const went = `${marks(back)} ${back === 1 ? 'is' : 'are'} as before the table.`;
  return stay ? `${went} ${marks(stay)} changed since ${stay === 1 ? 'stays' : 'stay'}.` : went;
}
