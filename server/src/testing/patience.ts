/** The first job of a server waits until a thread has read all of the core, several seconds on a slow machine. */
jest.setTimeout(30_000);
