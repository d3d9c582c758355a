import { createTheme, type PaletteOptions, type Theme } from '@mui/material/styles'
import { choices } from './theme/choices'
import { fields } from './theme/fields'
import { keys } from './theme/keys'
import { page } from './theme/page'
import { surfaces } from './theme/surfaces'
import { day, night, TEXT, TITLE, type Token } from './tokens'

/** The only theme: colours of both schemes, type, sizes for wet hands, and our shapes for every component that is used. */
export const theme: Theme = createTheme({
  cssVariables: { colorSchemeSelector: '[data-theme="%s"]', cssVarPrefix: 'lt' },
  colorSchemes: { light: { palette: paletteOf(day) }, dark: { palette: paletteOf(night) } },
  breakpoints: { values: { xs: 0, sm: 600, md: 900, lg: 1200, xl: 1536 } },
  shape: { borderRadius: 11 },
  spacing: 4,
  typography: {
    fontFamily: TEXT,
    fontSize: 17,
    fontWeightRegular: 500,
    body1: { fontSize: 17, lineHeight: 1.3 },
    body2: { fontSize: 16, lineHeight: 1.3 },
    h1: { fontFamily: TITLE, fontSize: 30, fontWeight: 500 },
    h2: { fontFamily: TITLE, fontSize: 24, fontWeight: 700 },
  },
  components: { ...page, ...keys, ...fields, ...choices, ...surfaces },
})

function paletteOf(token: Record<Token, string>): PaletteOptions {
  return {
    primary: { main: token.ink, contrastText: token['on-ink'] },
    success: { main: token.pine, contrastText: token['on-pine'] },
    error: { main: token.berry, contrastText: token['on-berry'] },
    warning: { main: token.berry, contrastText: token['on-berry'] },
    background: { default: token.milk, paper: token.enamel },
    text: { primary: token.ink, secondary: token.ink2, disabled: token.ink2 },
    divider: token['pist-d'],
  }
}
