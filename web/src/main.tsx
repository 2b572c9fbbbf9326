import '@mantine/core/styles.css'
import '@mantine/notifications/styles.css'
import '@fontsource-variable/archivo/wdth.css'
import './shell/tokens.css'
import './shell/edges.css'
import './shell/touch.css'
import { createRoot } from 'react-dom/client'
import { keepLastSeen } from './api/lastSeen'
import { App } from './app/App'

const root = document.getElementById('root')
if (!root) throw new Error('The page has no root element')
createRoot(root).render(<App />)
keepLastSeen()
