import { QueryTypes, type Sequelize } from 'sequelize';

const DAY_MS = 86_400_000;
const ALL_OF_DAYS = 1;
const DAILY_DAYS = 30;
const AT_ONCE = 500;

/**
 * Thins revisions out by the rule of docs/formats.md: of the last day all stay, of the thirty days before the last of
 * each day, of older ones the last of each week. A named one stays, and so does the one that is the build as it stands.
 * Days and weeks are UTC.
 * Gives how many went.
 */
export async function thinRevisions(database: Sequelize, now: Date): Promise<number> {
  const day = new Date(now.getTime() - ALL_OF_DAYS * DAY_MS);
  const month = new Date(now.getTime() - (ALL_OF_DAYS + DAILY_DAYS) * DAY_MS);
  let gone = 0;
  for (;;) {
    const rows = await database.query<{ id: number }>(
      `SELECT id FROM (
         SELECT r.id, r.named, r.etag = b.etag AS present,
           ROW_NUMBER() OVER (
             PARTITION BY r.build_id,
               IF(r.saved >= :month, DATE_FORMAT(r.saved, 'd%Y-%m-%d'), DATE_FORMAT(r.saved, 'w%x-%v'))
             ORDER BY r.saved DESC, r.id DESC
           ) AS nth
         FROM revisions r JOIN builds b ON b.id = r.build_id WHERE r.saved < :day
       ) AS old WHERE nth > 1 AND named IS NULL AND NOT present ORDER BY id LIMIT ${AT_ONCE}`,
      { type: QueryTypes.SELECT, replacements: { day, month } },
    );
    if (rows.length === 0) return gone;
    await database.query('DELETE FROM revisions WHERE id IN (:ids) AND named IS NULL', {
      replacements: { ids: rows.map((row) => row.id) },
    });
    gone += rows.length;
  }
}
