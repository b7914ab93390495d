declare module '#auth-utils' {
  interface User {
    id: number;
    programId: number;
  }
}

export {};
