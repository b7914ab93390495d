import * as firstTables from './0001-first-tables';
import * as playbook from './0002-playbook';
import * as spaces from './0003-spaces';
import * as sessions from './0004-sessions';
import * as films from './0005-films';
import * as measuring from './0006-measuring';
import * as log from './0007-log';
import * as grading from './0008-grading';
import * as people from './0009-people';
import * as week from './0010-week';
import * as huddle from './0011-huddle';
import * as beforeContact from './0012-before-contact';
import * as whatItMeant from './0013-what-it-meant';
import * as bookKinds from './0014-book-kinds';
import * as bookDue from './0015-book-due';
import * as gamesOfTheirs from './0016-games-of-theirs';
import * as bookWords from './0017-book-words';
import * as bookOrder from './0018-book-order';
import * as bookColumns from './0019-book-columns';
import * as bookColumnsDeflated from './0020-book-columns-deflated';

/** In the order they run. Append only: a migration that has been on main is never changed. */
export const MIGRATIONS = [
  firstTables,
  playbook,
  spaces,
  sessions,
  films,
  measuring,
  log,
  grading,
  people,
  week,
  huddle,
  beforeContact,
  whatItMeant,
  bookKinds,
  bookDue,
  gamesOfTheirs,
  bookWords,
  bookOrder,
  bookColumns,
  bookColumnsDeflated,
] as const;
