/** Lengths of time, and numbers as words. */
export const figuresMessages = {
  seconds: '{seconds} s',
  minutes: '{minutes} min',
  hours: '{hours} h',
  hoursMinutes: '{hours} h {minutes} min',
  days: '{days} days',
  count:
    '{count, plural, =0 {no} =1 {one} =2 {two} =3 {three} =4 {four} =5 {five} =6 {six} =7 {seven} =8 {eight} =9 {nine} other {{count}}}',
} as const
