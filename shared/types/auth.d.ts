declare module '#auth-utils' {
  /** Kept in the sealed cookie and never sent to the page. */
  interface SecureSessionData {
    /** Which row of the sessions this is. */
    session: string;
  }
}

export {};
