import '@fontsource-variable/atkinson-hyperlegible-next/wght.css'
import '@fontsource-variable/bricolage-grotesque/wdth.css'
import '../kit/base.css'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { KitProvider } from '../kit/KitProvider'
import { CheckPage } from './CheckPage'

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <KitProvider night={false}>
      <CheckPage />
    </KitProvider>
  </StrictMode>,
)
