import { readFileSync } from 'node:fs';
import { FORMAT, type Build } from '@inch-tower/core';
import { newest, problemOf } from './api';

const old = JSON.parse(readFileSync('core/src/testing/formats/1/field-kit.json', 'utf8')) as Build;

test('a machine that lies on the server in an earlier format is read in the newest', () => {
  expect(newest(old)).toMatchObject({ data: { id: old.id, format: FORMAT } });
});

test('one of a later format is not taken for one that is not there: it is said what it is', () => {
  const read = newest({ ...old, format: FORMAT + 1 });
  expect('error' in read && problemOf(read.error).detail).toMatch(/from a later Inch Tower/);
});
