import { createStore, type UseStore } from 'idb-keyval';

/** Where marks lie in this browser's database. */
export const marksShelf = (): UseStore => createStore('violet-chalk-marks', 'marks');
