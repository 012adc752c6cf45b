import { remember, remembered } from '../../remembered';

const SINGLE_KEYS = 'singleKeys';

/** Whether single keys act in the drawing, as this browser remembers it. */
export const singleKeysOn = (): boolean => remembered(SINGLE_KEYS) !== 'off';
export const setSingleKeys = (on: boolean): void => remember(SINGLE_KEYS, on ? 'on' : 'off');
