import { createTheme } from '@mui/material/styles'

/** MUI in our own tokens: no ripples, no stock reds; shapes and colours come from tokens.css. */
export const theme = createTheme({
  palette: {
    primary: { main: '#211825' },
    success: { main: '#0D5A46' },
    error: { main: '#B00B53' },
    warning: { main: '#B00B53' },
  },
  typography: { fontFamily: 'Atkinson Hyperlegible Next Variable, sans-serif', fontSize: 17 },
  components: { MuiButtonBase: { defaultProps: { disableRipple: true, disableTouchRipple: true } } },
})
