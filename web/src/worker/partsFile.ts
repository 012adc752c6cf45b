/** Reading a file of parts, which brings the schemas of all of them along. */
export { readPartsFile, readStock } from '@inch-tower/core';
