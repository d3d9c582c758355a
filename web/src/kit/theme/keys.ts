import type { Components } from '@mui/material/styles'

declare module '@mui/material/Button' {
  interface ButtonPropsVariantOverrides {
    text: false
    contained: false
    outlined: false
    plain: true
    primary: true
    outline: true
    quiet: true
    shut: true
  }
}

const BROKEN = { background: 'none', boxShadow: 'none', border: '2px dashed var(--rim)', color: 'var(--ink2)' }

/** Where the reader forces colours there is no lip and no fill: a key has a frame, and what is chosen is marked as all is there. */
export const FORCED = '@media (forced-colors: active)'

const LIP = 'inset 0 -5px 0 var(--lip)'
const RIM = 'inset 0 0 0 2px var(--rim)'

/** Keys: at least 56 by 56, with a lip that goes when they are pressed. No ripples, no capitals, no shadows. */
export const keys: Components = {
  MuiButtonBase: {
    defaultProps: { disableRipple: true, disableTouchRipple: true },
    styleOverrides: {
      root: {
        font: 'inherit',
        '&.Mui-focusVisible': { outline: '3px solid var(--ink)', outlineOffset: 2 },
      },
    },
  },
  MuiButton: {
    defaultProps: { disableElevation: true, variant: 'plain' },
    styleOverrides: {
      root: {
        minHeight: 56,
        minWidth: 56,
        padding: '8px 16px',
        borderRadius: 12,
        color: 'var(--ink)',
        font: '700 20px/1.15 var(--title)',
        fontStretch: '88%',
        letterSpacing: 0,
        textAlign: 'center',
        textTransform: 'none',
        transition: 'transform 120ms, box-shadow 120ms',
        '&:hover': { background: 'none' },
        '&:active': { transform: 'translateY(3px)', boxShadow: 'none' },
        '&.Mui-disabled': { color: 'var(--ink2)' },
        [FORCED]: {
          border: '2px solid ButtonBorder',
          "&[aria-pressed='true'], &[aria-pressed='true']:hover": {
            background: 'Highlight',
            color: 'HighlightText',
            forcedColorAdjust: 'none',
          },
        },
        variants: [
          {
            props: { variant: 'plain' },
            style: {
              background: 'var(--pist)',
              boxShadow: LIP,
              paddingBottom: 13,
              // A finger leaves the hover behind where it tapped: the key keeps its shape.
              '&:hover': { background: 'var(--pist)', boxShadow: LIP },
              '&:active': { boxShadow: 'none' },
              '&.Mui-disabled': { color: 'var(--ink2)', boxShadow: 'none' },
            },
          },
          {
            props: { variant: 'primary' },
            style: {
              background: 'var(--ink)',
              color: 'var(--on-ink)',
              '&:hover': { background: 'var(--ink)' },
              "&.Mui-disabled:not([aria-pressed='true'])": BROKEN,
              "&.Mui-disabled[aria-pressed='true']": { color: 'var(--on-ink)' },
              [FORCED]: { borderWidth: 4 },
            },
          },
          {
            props: { variant: 'outline' },
            style: { boxShadow: RIM, '&:hover, &:active': { boxShadow: RIM } },
          },
          {
            props: { variant: 'quiet' },
            style: { background: 'var(--enamel)', '&:hover': { background: 'var(--enamel)' } },
          },
          { props: { variant: 'shut' }, style: { ...BROKEN, [FORCED]: { borderStyle: 'dashed' } } },
        ],
      },
    },
  },
}
