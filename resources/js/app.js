import '@fontsource/barlow/latin-400.css';
import '@fontsource/barlow/latin-500.css';
import '@fontsource/barlow/latin-600.css';
import '@fontsource/barlow-semi-condensed/latin-400.css';
import '@fontsource/barlow-semi-condensed/latin-500.css';
import '@fontsource/barlow-semi-condensed/latin-600.css';
import '@fontsource/ibm-plex-mono/latin-400.css';
import '@fontsource/ibm-plex-mono/latin-500.css';
import './theme.js';
import './keys.js';
import './grid.js';
import './map.js';
import './layout/lay-out.js';
import './send.js';
import './causes.js';
import './standings.js';
import './pulse.js';
import './find.js';
import './paste.js';
import './order.js';
import './sketch.js';
import { wake } from './wake.js';

document.addEventListener('submit', (event) => {
    if (event.target.dataset.confirm && !window.confirm(event.target.dataset.confirm)) event.preventDefault();
});
wake();
