/** Ways out of a snag: much code that no first view waits for. */
export { conflictLines, remediesFor, whyNot } from '@inch-tower/core';
