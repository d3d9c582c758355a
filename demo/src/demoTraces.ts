/** Over every floor, off the heat, through every gate: minutes after the start, °C. */
export const COOKED: [number, number][] = [
  [4, 61.2],
  [7, 73.4],
  [9, 80.6],
  [9.4, 81],
  [9.8, 81.1],
  [13, 57],
  [20, 38.2],
  [31, 19.8],
  [75, 8.2],
  [140, 3.7],
]
/** Starch is boiled out. */
export const BOILED: [number, number][] = [
  ...COOKED.slice(0, 3),
  [11, 95.6],
  [12.5, 96.1],
  [16, 57],
  [36, 36],
  [60, 19.6],
  [110, 8.2],
  [190, 3.6],
]
/** No egg: simmered. */
export const SIMMERED: [number, number][] = [
  [6, 71],
  [9, 93],
  [14, 57],
  [24, 38],
  [36, 19.4],
  [90, 8],
  [160, 3.5],
]
