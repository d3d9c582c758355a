/** Our colours by day and by night. Hue belongs to temperature; berry means only: hands needed now. */
export type Token = keyof typeof day

export const day = {
  milk: '#e6eee6',
  enamel: '#f8fbf7',
  pist: '#c9dccb',
  'pist-d': '#a9c4ae',
  lip: '#6c8974',
  rim: '#6c8974',
  hair: '#d0ded2',
  ink: '#211825',
  ink2: '#56495d',
  'on-ink': '#f8fbf7',
  glass: '#221b29',
  glass2: '#3a3143',
  'pane-rule': '#5a4f66',
  'on-glass': '#f8fbf7',
  'on-glass2': '#cfc6d6',
  berry: '#b00b53',
  'on-berry': '#ffffff',
  'berry-text': '#a00a4b',
  'berry-d': '#860640',
  flare: '#d91468',
  flare2: '#ff3d8b',
  'flare-text': '#ff9cc4',
  pine: '#0d5a46',
  'on-pine': '#ffffff',
  /** Cream and ember, where a lane of glass says that there is heat. */
  heat: '#f7d384',
  /** What a print is on, and its ink: the same by day and by night. */
  paper: '#ffffff',
  print: '#000000',
}

export const night: Record<Token, string> = {
  ...day,
  milk: '#16121b',
  enamel: '#241d2b',
  pist: '#2f3b34',
  'pist-d': '#3b4a41',
  lip: '#7e9886',
  rim: '#5e7565',
  hair: '#3a3143',
  ink: '#f2ecf4',
  ink2: '#b9acc1',
  'on-ink': '#16121b',
  glass: '#08060a',
  glass2: '#2a2331',
  berry: '#c2125f',
  'berry-text': '#ff86b6',
  pine: '#7fd1b0',
  'on-pine': '#0d1f18',
}

export const TITLE = "'Bricolage Grotesque Variable', sans-serif"
export const TEXT = "'Atkinson Hyperlegible Next Variable', sans-serif"

/** The tokens as custom properties, `--ink` and so on: stylesheets know no other colours. */
export function properties(tokens: Record<Token, string>): Record<string, string> {
  return Object.fromEntries(Object.entries(tokens).map(([name, colour]) => [`--${name}`, colour]))
}
