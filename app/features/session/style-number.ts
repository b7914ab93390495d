/** The number of this page: only style elements that carry it are taken, wherever they come from. None in a test and while developing. */
export const styleNumber = (): string =>
  document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce ?? '';
