import type { Components } from '@mui/material/styles'
import { day, night, properties, TEXT, TITLE } from '../tokens'

/** The page itself: tokens, resets, type, and the outline that shows where the keyboard is. */
export const page: Components = {
  MuiCssBaseline: {
    styleOverrides: {
      ':root': { ...properties(day), '--title': TITLE, '--text': TEXT, colorScheme: 'light' },
      '[data-theme="dark"]': { ...properties(night), colorScheme: 'dark' },
      'html, body, #root': { height: '100%', margin: 0 },
      body: {
        background: 'var(--milk)',
        color: 'var(--ink)',
        font: '500 17px/1.3 var(--text)',
        fontFeatureSettings: "'tnum', 'zero'",
        overscrollBehavior: 'none',
      },
      'h1, h2, h3, p, ul, ol': { margin: 0, padding: 0, fontWeight: 'inherit', fontSize: 'inherit' },
      'ul, ol': { listStyle: 'none' },
      a: { color: 'inherit', textDecoration: 'none' },
      ':focus-visible': { outline: '3px solid var(--ink)', outlineOffset: 2 },
      '@media (prefers-reduced-motion: reduce)': {
        '*': { transition: 'none !important', animation: 'none !important' },
      },
    },
  },
}
