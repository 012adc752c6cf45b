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
