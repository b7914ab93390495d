import { xchacha20poly1305 } from '@noble/ciphers/chacha';
import { bytesToHex, bytesToUtf8, hexToBytes, utf8ToBytes } from '@noble/ciphers/utils';
import { managedNonce, randomBytes } from '@noble/ciphers/webcrypto';
import * as z from 'zod';

/** What of a person's is left on a machine he has logged out of: whose, how many, and nothing that can be read without his key. */
export const SealedSchema = z.object({
  userId: z.int(),
  name: z.string(),
  count: z.int(),
  /** Hexadecimal. */
  locked: z.string(),
});
export type Sealed = z.infer<typeof SealedSchema>;

/** Not by the browser's own cipher, which is there on https only: a laptop on the sideline has none. */
const cipher = managedNonce(xchacha20poly1305);

/** Locks entries by their places with a person's key, 32 bytes in hexadecimal, which only the server has while he is away. */
export function seal(
  key: string,
  { userId, name }: Pick<Sealed, 'userId' | 'name'>,
  entries: readonly [string, unknown][],
): Sealed {
  const locked = cipher(hexToBytes(key)).encrypt(utf8ToBytes(JSON.stringify(entries)));
  return { userId, name, count: entries.length, locked: bytesToHex(locked) };
}

/** Unlocks them; `null` when the key is another one or something was changed. */
export function unseal(key: string, { locked }: Pick<Sealed, 'locked'>): [string, unknown][] | null {
  try {
    const text = bytesToUtf8(cipher(hexToBytes(key)).decrypt(hexToBytes(locked)));
    return z.array(z.tuple([z.string(), z.unknown()])).parse(JSON.parse(text));
  } catch {
    return null;
  }
}

/** A key of this kind. */
export const newKey = (): string => bytesToHex(randomBytes(32));
