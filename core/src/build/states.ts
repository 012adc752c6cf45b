/**
 * What a machine can be doing, one list everywhere. *Off*: 5 V standby alone. *Asleep*: drives spun down, the host
 * idle. *Idle*: drives turning. *Working*: the mix of an ordinary day. *Busy*: all drives read or write. *Peak*:
 * everything at its most together. *Start*: while
 * drives spin up, over time.
 */
export const STATES = ['off', 'asleep', 'idle', 'working', 'busy', 'peak', 'start'] as const;
/** What an hour of a day can be. */
export const HOUR_STATES = ['off', 'asleep', 'idle', 'working', 'busy'] as const;
