import type { Role } from '@inch-tower/core';

/** What a drive is for, as it is said to a builder. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  data: 'data',
  boot: 'the system',
  cache: 'read cache',
  log: 'write log',
  meta: 'metadata',
  scratch: 'scratch',
  spare: 'a spare',
  leaving: 'leaving the machine',
};

/** What a drive beside the pool does for it, and what it does not. */
export const ROLE_HELP: Readonly<Record<Role, string>> = {
  data: '',
  boot: 'The machine starts from it. When it fails the pool is not lost, but the machine stands.',
  cache: 'Holds copies of what is read often. Adds no room, quickens no write, and may fail.',
  log: 'Keeps writes that must be safe at once until the pool has them. It is read only after the power failed.',
  meta: 'Part of the pool: without it nothing can be read. It wants as many copies as the pool survives failures.',
  scratch: 'Room for what may be lost.',
  spare: 'Stands in by itself when a drive fails. Must be as large as the largest it stands in for.',
  leaving: 'Not counted: it goes out of the machine.',
};
