/** A field for a day. */
export interface DateProps {
  label: string
  /** '2027-03-09'; empty while there is none. */
  value: string
  onValue: (value: string) => void
  least?: string
  most?: string
}

/** A field for a time of day. */
export interface TimeProps {
  label: string
  /** '23:05', on a 24 h clock; empty while there is none. */
  value: string
  onValue: (value: string) => void
  /** How the kitchen writes a time of day. */
  hours: 12 | 24
}
