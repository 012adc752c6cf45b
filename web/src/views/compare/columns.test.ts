import { newBuild } from '@inch-tower/core';
import { asColumn, columnOf, stageColumns, partsOf } from './columns';

const build = { ...newBuild('m', 'Rack'), stages: [{ name: 'Now' }, { name: '' }, { name: 'Spring' }] };

test('a column is a machine, or a machine at one of its stages', () => {
  expect(columnOf('boathouse-rack')).toEqual({ id: 'boathouse-rack', stage: null });
  expect(columnOf('boathouse-rack~2')).toEqual({ id: 'boathouse-rack', stage: 2 });
  expect(asColumn(build, 'm')).toMatchObject({ id: 'm', name: 'Rack', stage: 0 });
  expect(asColumn(build, 'm~2')).toMatchObject({ id: 'm~2', name: 'Rack, Spring', stage: 2 });
  expect(asColumn(build, 'm~1').name).toBe('Rack, Stage 2');
  // A stage that is not there is the machine as it is shown.
  expect(asColumn(build, 'm~9')).toMatchObject({ id: 'm~9', name: 'Rack', stage: 0 });
});

test('stages as columns: all of them, or the first and the last of too many', () => {
  expect(stageColumns(build)).toEqual(['m~0', 'm~1', 'm~2']);
  const many = { ...build, stages: Array.from({ length: 7 }, () => ({ name: '' })) };
  expect(stageColumns(many)).toEqual(['m~0', 'm~1', 'm~2', 'm~6']);
});

test('a column may be several machines, also by an address that somebody typed', () => {
  expect(partsOf('a+b~2')).toEqual(['a', 'b~2']);
  expect(partsOf('a b')).toEqual(['a', 'b']);
  expect(partsOf('a')).toEqual(['a']);
});
