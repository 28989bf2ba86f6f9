import { test, expect } from '@playwright/test';
import { HtmlValidate } from 'html-validate';
import { beginCrew, openRig, openSmall, rigOf, signIn } from './hands.js';

// How the text is set (spaces, a slash before a tag's end), and what is only a matter of taste, is not looked at.
const validator = new HtmlValidate({
    extends: ['html-validate:recommended'],
    rules: {
        'no-trailing-whitespace': 'off',
        'void-style': 'off',
        // Text is what an input is where nothing is said.
        'no-implicit-input-type': 'off',
        // One number is sent by Enter; a form that a script fills has no button.
        'wcag/h32': 'off',
        // The list of the field that finds a model draws what it lists; a table that scrolls is a region.
        'prefer-native-element': ['error', { exclude: ['listbox', 'region'] }],
    },
});

// Two fields of one name can't be distinguished by a person who does not see them.
const namesakes = (html) => {
    const names = [...html.matchAll(/<(?:input|select|textarea)\b[^>]*?\baria-label="([^"]*)"/g)].map(([, name]) => name.replace(/\s+/g, ' '));
    return [...new Set(names.filter((name, i) => names.indexOf(name) !== i))];
};

const troubles = async (page, address) => {
    const answer = await page.request.get(address);
    expect([address, answer.status()]).toEqual([address, 200]);
    const html = await answer.text();
    expect([address, namesakes(html)]).toEqual([address, []]);
    const { results } = await validator.validateString(html);
    return results.flatMap(({ messages }) => messages.map(({ ruleId, message, line }) => `${address}:${line} ${ruleId}: ${message}`));
};

const VIEWS = ['wishes', 'wishes?ends=1', 'returns', 'stock', 'stock?q=usb', 'shopping', 'wiring', 'wiring?depth=inside', 'wiring?layer=ground',
    'cables', 'computers', 'names', 'recipes', 'tracks', 'levels', 'controls', 'show', 'checks?causes=1', 'dependence', 'doubts', 'bench', 'faults', 'situations', 'cards',
    'cards/run-down', 'book', 'history', 'people', 'downloads', 'import-cables', 'import-wishes', 'find?q=head'];
const OF_THE_DEMO = ['wishes?pair=rally:viewers&causes=1', 'stock?select=unit:mixer', 'stock?list=webcam%0Awebcam%0Ateapot%20of%20glass', 'stock?select=unit:cast-pc&swap=gaming-computer',
    'wiring?select=unit:mixer', 'computers/cast-pc/observed', 'wiring?select=cable:w-07', 'wiring?select=socket:cast-pc/usb-4&depth=sockets&with=mixer/phones',
    'recipes?select=unit:mixer', 'recipes?select=unit:mixer&as=matrix', 'situations?situation=break&against=on-air', 'controls?control=box-3',
    'controls?of=mixer&try=mixer/ch-1%20fader', 'show?unlocked=1&to=break', 'by-hand?from=break&to=talk', 'label/cable/w-17', 'label/unit/mixer'];

test('every view of a rig is valid HTML', async ({ page }) => {
    const small = await openSmall(page);
    await page.goto('/');
    await openRig(page, 'Night relay at the pier arcade');
    const demo = rigOf(page);
    const found = [];
    for (const view of VIEWS) found.push(...await troubles(page, `/rigs/${small}/${view}`), ...await troubles(page, `/rigs/${demo}/${view}`));
    for (const view of OF_THE_DEMO) found.push(...await troubles(page, `/rigs/${demo}/${view}`));
    expect(found).toEqual([]);
});

test('every page beside a rig is valid HTML', async ({ page, browser }) => {
    await signIn(page);
    const found = [];
    for (const address of ['/', '/account', '/models', '/models/mixer', '/models/new?from=eight-input-desk', '/catalogue', '/catalogue?model=webcam', '/crews', '/find', '/find?q=mixer']) {
        found.push(...await troubles(page, address));
    }
    found.push(...await troubles(page, await beginCrew(page)), ...await troubles(page, '/'));
    const guest = await (await browser.newContext({ baseURL: new URL(page.url()).origin })).newPage();
    for (const address of ['/register', '/sign-in', '/forgotten']) found.push(...await troubles(guest, address));
    expect(found).toEqual([]);
});
