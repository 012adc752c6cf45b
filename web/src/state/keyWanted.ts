/** Told to the window when the server wants a key it has not seen, or no longer takes. */
export const KEY_WANTED = 'inch-tower-key-wanted';
export const tellKeyWanted = (): void => {
  dispatchEvent(new Event(KEY_WANTED));
};
