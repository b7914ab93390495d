let isOpen = false;

/** Says that everything requests stand on is there: database, demo program, queue, folders. */
export const nowOpen = (): void => void (isOpen = true);

/** Whether the application is open; until then it answers, but not everything it answers from is there. */
export const isNowOpen = (): boolean => isOpen;
