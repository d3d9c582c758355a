/** From the lowest shore to where nobody cooks, m. */
export const LOWEST_ALTITUDE = -430
export const HIGHEST_ALTITUDE = 9000

/**
 * The temperature at which water boils at an altitude, °C: 100 at the sea, 95.0 at 1500 m. Standard atmosphere
 * p = 101.325 (1 - 2.25577e-5 h)^5.25588 kPa, and Antoine's equation for water, 1730.63/(8.07131 - log10 p) - 233.426
 * with p in mmHg.
 * @param altitudeMetres from -430, the lowest shore, to 9000
 */
export function boilingPoint(altitudeMetres: number): number {
  if (!(altitudeMetres >= LOWEST_ALTITUDE && altitudeMetres <= HIGHEST_ALTITUDE))
    throw new RangeError(`altitudeMetres: ${altitudeMetres} is not an altitude from -430 to 9000 m`)
  const kilopascal = 101.325 * (1 - 2.25577e-5 * altitudeMetres) ** 5.25588
  return 1730.63 / (8.07131 - Math.log10(kilopascal * MMHG_PER_KPA)) - 233.426
}

const MMHG_PER_KPA = 7.50062
