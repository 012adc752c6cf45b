import { createHash, randomBytes, randomInt, scrypt, timingSafeEqual } from 'node:crypto';
import { QueryTypes, type Sequelize } from 'sequelize';

export type KeyRole = 'full' | 'read';
export type KeyLine = {
  readonly id: string;
  readonly role: KeyRole;
  readonly label: string;
  readonly made: Date;
  readonly withdrawn: Date | null;
};
export type Session = { readonly key: string; readonly role: KeyRole };

const SESSION_DAYS = 30;
const DAY_MS = 86_400_000;
/** How long a session found in the database is believed: a withdrawn key is out after that. */
const BELIEVED_MS = 5_000;
const MOST_BELIEVED = 1_000;
/** scrypt (RFC 7914) with 16 MiB and about 50 ms a try. */
const COST = { N: 2 ** 14, r: 8, p: 1 } as const;
const HASH_BYTES = 32;

const slowHash = (secret: string, salt: string): Promise<Buffer> =>
  new Promise((resolve, reject) => {
    scrypt(secret, salt, HASH_BYTES, COST, (error, hash) => {
      if (error) reject(error);
      else resolve(hash);
    });
  });
const quickHash = (token: string): string => createHash('sha256').update(token).digest('hex');
/** Letters and digits that are not taken for one another. */
const ALPHABET = 'abcdefghjkmnpqrstuvwxyz23456789';
const letters = (count: number): string =>
  Array.from({ length: count }, () => ALPHABET[randomInt(ALPHABET.length)]).join('');

/** Keys of a server that is reached from beyond loopback, and the sessions opened with them. */
export function createKeys(database: Sequelize) {
  const believed = new Map<string, { readonly session: Session; readonly until: number }>();
  const select = <T extends object>(sql: string, replacements: readonly unknown[] = []): Promise<T[]> =>
    database.query<T>(sql, { type: QueryTypes.SELECT, replacements: [...replacements] });

  return {
    /** A new key; its text is given here and nowhere else. */
    async make(role: KeyRole, label: string): Promise<string> {
      const id = letters(4);
      const secret = [letters(5), letters(5), letters(5), letters(5), letters(5)].join('-');
      const salt = randomBytes(16).toString('hex');
      await database.query('INSERT INTO access_keys (id, role, label, salt, hash, made) VALUES (?, ?, ?, ?, ?, ?)', {
        replacements: [id, role, label, salt, (await slowHash(secret, salt)).toString('hex'), new Date()],
      });
      return `${id}-${secret}`;
    },

    list: (): Promise<KeyLine[]> =>
      select<KeyLine>('SELECT id, role, label, made, withdrawn FROM access_keys ORDER BY made, id'),

    /** Withdraws a key and ends its sessions; false when there is none. */
    async withdraw(id: string): Promise<boolean> {
      const here = await select('SELECT id FROM access_keys WHERE id = ? AND withdrawn IS NULL', [id]);
      await database.query('UPDATE access_keys SET withdrawn = ? WHERE id = ?', { replacements: [new Date(), id] });
      await database.query('DELETE FROM sessions WHERE key_id = ?', { replacements: [id] });
      believed.clear();
      return here.length > 0;
    },

    /** Opens a session with a key: its token, for the cookie. Null for a wrong one, after the same work. */
    async open(
      key: string,
      now: Date,
    ): Promise<{ readonly token: string; readonly session: Session; readonly days: number } | null> {
      const [, id = '', secret = ''] = /^([a-z0-9]{4})-([a-z0-9-]{1,60})$/.exec(key.trim().toLowerCase()) ?? [];
      const [row] = await select<{ role: KeyRole; salt: string; hash: string }>(
        'SELECT role, salt, hash FROM access_keys WHERE id = ? AND withdrawn IS NULL',
        [id],
      );
      const hash = await slowHash(secret, row?.salt ?? '0'.repeat(32));
      const wanted = row ? Buffer.from(row.hash, 'hex') : randomBytes(HASH_BYTES);
      if (!timingSafeEqual(hash, wanted) || !row) return null;
      const token = randomBytes(32).toString('base64url');
      await database.query('DELETE FROM sessions WHERE until < ?', { replacements: [now] });
      await database.query('INSERT INTO sessions (token, key_id, until) VALUES (?, ?, ?)', {
        replacements: [quickHash(token), id, new Date(now.getTime() + SESSION_DAYS * DAY_MS)],
      });
      return { token, session: { key: id, role: row.role }, days: SESSION_DAYS };
    },

    /** The session a token stands for; null when it is none, or its key was withdrawn. */
    async session(token: string, now: Date): Promise<Session | null> {
      const hash = quickHash(token);
      const known = believed.get(hash);
      if (known && known.until > now.getTime()) return known.session;
      const [row] = await select<Session>(
        'SELECT k.id AS `key`, k.role AS role FROM sessions s JOIN access_keys k ON k.id = ' +
          's.key_id WHERE s.token = ? AND s.until > ? AND k.withdrawn IS NULL',
        [hash, now],
      );
      if (believed.size >= MOST_BELIEVED) believed.clear();
      if (row) believed.set(hash, { session: row, until: now.getTime() + BELIEVED_MS });
      else believed.delete(hash);
      return row ?? null;
    },

    async close(token: string): Promise<void> {
      believed.delete(quickHash(token));
      await database.query('DELETE FROM sessions WHERE token = ?', { replacements: [quickHash(token)] });
    },
  };
}
export type Keys = ReturnType<typeof createKeys>;
