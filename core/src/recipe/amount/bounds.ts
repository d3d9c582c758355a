/** As little and as much of one thing as a method can hold, g. */
export const LEAST_GRAMS = 0.01
export const MOST_GRAMS = 1e6
