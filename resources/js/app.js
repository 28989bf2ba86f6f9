import '@fontsource/barlow/latin-400.css';
import '@fontsource/barlow/latin-500.css';
import '@fontsource/barlow/latin-600.css';
import '@fontsource/barlow-semi-condensed/latin-400.css';
import '@fontsource/barlow-semi-condensed/latin-500.css';
import '@fontsource/barlow-semi-condensed/latin-600.css';
import '@fontsource/ibm-plex-mono/latin-400.css';
import '@fontsource/ibm-plex-mono/latin-500.css';
import Alpine from '@alpinejs/csp';
import focus from '@alpinejs/focus';
import morph from '@alpinejs/morph';
import persist from '@alpinejs/persist';
import { bench } from './components/bench.js';
import { card } from './components/card.js';
import { causes } from './components/causes.js';
import { fetched } from './components/fetched.js';
import { finder } from './components/finder.js';
import { frame } from './components/frame.js';
import { grid } from './components/grid.js';
import { keyList } from './components/key-list.js';
import { layOut } from './components/lay-out.js';
import { likeMine } from './components/like-mine.js';
import { madeBook } from './components/made-book.js';
import { map } from './components/map.js';
import { message } from './components/message.js';
import { modelField } from './components/model-field.js';
import { nextStep } from './components/next-step.js';
import { order } from './components/order.js';
import { pickLines } from './components/pick-lines.js';
import { pulse } from './components/pulse.js';
import { several } from './components/several.js';
import { sheet } from './components/sheet.js';
import { sheetPart } from './components/sheet-part.js';
import { sketch } from './components/sketch.js';
import { standings } from './components/standings.js';
import { strength } from './components/strength.js';
import { takeFiles } from './components/take-files.js';
import { table } from './components/table.js';
import { theme } from './components/theme.js';
import { tonePlay } from './components/tone-play.js';

window.Alpine = Alpine;
Alpine.plugin(focus);
Alpine.plugin(morph);
Alpine.plugin(persist);
Alpine.store('theme', theme(Alpine));
Alpine.store('next', { away: Alpine.$persist('').as('next-away') });
Alpine.store('keys', { isOn: Alpine.$persist(true).as('single-keys') });
const components = {
    bench, card, causes, fetched, finder, frame, grid, keyList, layOut, likeMine, madeBook, map, message, modelField, nextStep, order, pickLines, pulse,
    several, sheet, sheetPart, sketch, standings, strength, table,
    takeFiles, theme, tonePlay,
};
for (const [name, component] of Object.entries(components)) Alpine.data(name, component);
Alpine.start();
