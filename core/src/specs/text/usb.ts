/** Gb/s of USB by what its generations are called (USB 3.2 and USB4 specifications). */
export const USB_GENERATIONS: readonly (readonly [RegExp, number])[] = [
  [/usb ?4(?!\d)/i, 40],
  [/gen ?2 ?[x×] ?2|superspeed\+? ?20/i, 20],
  [/3\.[12] ?gen\.? ?2|usb ?3\.1(?! ?gen)/i, 10],
  [/3\.[12] ?gen\.? ?1|usb(?:-[abc])? ?3\.0|usb ?3(?![.\d])/i, 5],
  [/usb ?2\.0/i, 0.48],
];
