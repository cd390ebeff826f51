import '@fontsource/archivo/latin-400.css';
import '@fontsource/archivo/latin-600.css';
import '@fontsource/archivo/latin-700.css';
import '@fontsource/archivo-narrow/latin-700.css';
import '@fontsource/ibm-plex-mono/latin-400.css';
import '@fontsource/ibm-plex-mono/latin-600.css';
import './styles.css';
import { createRoot } from 'react-dom/client';
import { App } from './App';
import { begin } from './state/reading';

const root = document.getElementById('root');
void begin().then(() => {
  if (root) createRoot(root).render(<App />);
});
