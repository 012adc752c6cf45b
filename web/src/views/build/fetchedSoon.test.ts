import { fetchedSoon } from './fetchedSoon';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('it is fetched once, soon or at the first call, whichever comes first', async () => {
  const load = jest.fn(() => Promise.resolve('it'));
  const one = fetchedSoon(load);
  one.soon();
  expect(load).not.toHaveBeenCalled();
  jest.advanceTimersByTime(2000);
  expect(load).toHaveBeenCalledTimes(1);
  await expect(one.get()).resolves.toBe('it');
  expect(load).toHaveBeenCalledTimes(1);
});

test('left before it was fetched, it is not; one that failed is asked for again', async () => {
  const load = jest.fn<Promise<string>, []>().mockRejectedValueOnce(new Error('away')).mockResolvedValue('it');
  const one = fetchedSoon(load);
  one.soon()();
  jest.advanceTimersByTime(5000);
  expect(load).not.toHaveBeenCalled();
  await expect(one.get()).rejects.toThrow('away');
  await expect(one.get()).resolves.toBe('it');
});
