import CssBaseline from '@mui/material/CssBaseline'
import { StyledEngineProvider, ThemeProvider, useColorScheme } from '@mui/material/styles'
import { useEffect, type ReactNode } from 'react'
import { theme } from './theme'

/** What every view is drawn with. The library's styles lie in a layer of their own, under all of ours. */
export function KitProvider({ night, children }: { night: boolean; children: ReactNode }) {
  return (
    <StyledEngineProvider enableCssLayer>
      <ThemeProvider theme={theme} defaultMode="light" storageManager={null}>
        <CssBaseline />
        <Scheme night={night} />
        {children}
      </ThemeProvider>
    </StyledEngineProvider>
  )
}

/** Day or night is chosen by hand, not by the device: a kitchen is lit the same at all hours. */
function Scheme({ night }: { night: boolean }) {
  const { setMode } = useColorScheme()
  useEffect(() => setMode(night ? 'dark' : 'light'), [night, setMode])
  return null
}
