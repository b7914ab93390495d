import { Hash } from '@adonisjs/hash';
import { Scrypt } from '@adonisjs/hash/drivers/scrypt';

const hash = new Hash(new Scrypt({}));

/** A salted scrypt hash; the password itself is kept nowhere. */
export const hashPassword = (password: string): Promise<string> => hash.make(password);

export const verifyPassword = (hashed: string, password: string): Promise<boolean> => hash.verify(hashed, password);
