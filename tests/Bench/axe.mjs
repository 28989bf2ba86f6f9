// What axe finds in every view: both themes, 1280, 390 and 320 px, and 200 % text; and what each kind of control looks like when the
// pointer or the keyboard is on it: readable still, and with a ring that is seen.
//
//   node tests/Bench/axe.mjs ADDRESS [VIEW...]
//
// Of the demo, whose account is signed in; all views where none is named, as in wishes?pair=rally:viewers. Prints what was found, and how much was looked at; ends with 1 where anything was found.
import axe from 'axe-core';
import { demoPage } from './demo-page.mjs';

const [, , base, ...asked] = process.argv;
const SIZES = [[1280, 800, 1], [390, 844, 1], [320, 640, 1], [1280, 800, 2], [390, 844, 2]];
const THEMES = ['light', 'dark'];
const BESIDE = ['/', '/account', '/models', '/models/new?from=eight-input-desk', '/catalogue', '/catalogue?model=webcam'];
const STATES = ['wishes?pair=rally:viewers', 'wiring?select=unit:mixer', 'wiring?select=cable:w-07', 'stock?select=unit:mixer',
    'stock?q=usb', 'recipes?as=matrix', 'recipes?select=unit:broadcast', 'situations?against=break', 'cards/run-down', 'find?q=head',
    'import-cables'];
// How little more than its ground a ring may differ: a control's outline needs 3 to 1.
const RING = 3;

const { browser, page, rig } = await demoPage(base);
await page.goto(`${base}/rigs/${rig}/wishes`);
const views = (await page.evaluate(() => document.body.dataset.views)).split(' ');
const below = (view) => `/rigs/${rig}/${view}`;
const addresses = asked.length > 0 ? asked.map(below) : [...BESIDE, ...[...views, ...STATES].map(below)];

const found = new Set();
let looks = 0;
let controls = 0;
const say = (line) => {
    if (found.has(line)) return;
    found.add(line);
    console.log(`  ${line}`);
};
const theme = (name) => page.evaluate((one) => (document.documentElement.dataset.bsTheme = one), name);
const text = (factor) => page.evaluate((one) => (document.documentElement.style.fontSize = one === 1 ? '' : `${one * 100}%`), factor);

// What axe finds in the page, or in a part of it by some of its rules.
const violations = (part = null, rules = null) => page.evaluate(async ([where, only]) => {
    const options = { resultTypes: ['violations'], ...(only ? { runOnly: only } : {}) };
    const result = await window.axe.run(where ? { include: [[where]] } : document, options);
    return result.violations.flatMap(({ id, nodes }) => nodes.slice(0, 4).map(({ target, failureSummary }) => (
        `${id}: ${target.join(' ')}  ${failureSummary.split('\n')[1]}`)));
}, [part, rules]);

// One of each kind of control, to point at and to go to by keyboard.
const mark = () => page.evaluate(() => {
    const seen = new Set();
    let number = 0;
    for (const one of document.querySelectorAll('a[href], button, summary, input:not([type=hidden]), select, textarea')) {
        if (one.disabled || !one.checkVisibility({ opacityProperty: false }) || one.closest('[aria-hidden=true]')) continue;
        const chain = [one, one.parentElement, one.parentElement.parentElement];
        const kind = chain.map((part) => `${part.tagName}.${part.getAttribute('class') ?? ''}`).join(' ');
        if (seen.has(kind)) continue;
        seen.add(kind);
        one.dataset.looked = number++;
    }
    return number;
});

// How an element and what is in it look, to see whether the keyboard focus shows there at all.
const drawnAs = (number) => page.evaluate((one) => {
    const element = document.querySelector(`[data-looked="${one}"]`);
    return [element, ...element.querySelectorAll('*')].map((part) => {
        const { stroke, strokeWidth, fill, outline, filter } = getComputedStyle(part);
        return [stroke, strokeWidth, fill, outline, filter].join();
    }).join(';');
}, number);

// The ring of the element with the keyboard: an outline of it or of a part of it, against its background.
const ring = () => page.evaluate(() => {
    const number = (colour) => (colour.match(/[\d.]+/g) ?? []).map(Number);
    const lit = (colour) => {
        const linear = (one) => (one <= 0.03928 ? one / 12.92 : ((one + 0.055) / 1.055) ** 2.4);
        const [r, g, b] = number(colour).map((one) => linear(one / 255));
        return 0.2126 * r + 0.7152 * g + 0.0722 * b;
    };
    const ratio = (one, other) => (Math.max(lit(one), lit(other)) + 0.05) / (Math.min(lit(one), lit(other)) + 0.05);
    const ground = (element, isInside) => {
        for (let at = isInside ? element : element.parentElement; at; at = at.parentElement) {
            const { backgroundColor } = getComputedStyle(at);
            if ((number(backgroundColor)[3] ?? 1) > 0.9) return backgroundColor;
        }
        return 'rgb(255, 255, 255)';
    };
    const one = document.activeElement;
    const isInside = parseFloat(getComputedStyle(one).outlineOffset) < 0;
    const drawn = (style) => style.outlineStyle !== 'none' && parseFloat(style.outlineWidth) >= 1.5 ? style.outlineColor : null;
    const parts = [getComputedStyle(one), getComputedStyle(one, '::after'), getComputedStyle(one, '::before'),
        ...[...one.querySelectorAll('*')].map((part) => getComputedStyle(part)), getComputedStyle(one.parentElement)];
    const best = Math.max(0, ...parts.map(drawn).filter(Boolean).map((colour) => ratio(colour, ground(one, isInside))));
    return Math.round(best * 10) / 10;
});

for (const address of addresses) {
    await page.setViewportSize({ width: 1280, height: 800 });
    const answer = await page.goto(base + address);
    if (!answer.ok()) {
        say(`${address} answers ${answer.status()}`);
        continue;
    }
    await page.waitForTimeout(300);
    await page.evaluate(axe.source);
    const name = address.replace(`/rigs/${rig}/`, '');
    for (const [width, height, factor] of SIZES) {
        await page.setViewportSize({ width, height });
        await text(factor);
        const broad = await page.evaluate(() => document.documentElement.scrollWidth);
        if (broad > width) say(`${name}, ${width} px, ${factor * 100} % text: ${broad} px wide`);
        for (const colours of THEMES) {
            await theme(colours);
            looks++;
            for (const one of await violations()) say(`${name}, ${width} px, ${factor * 100} % text, ${colours}: ${one}`);
        }
    }
    await text(1);
    await page.setViewportSize({ width: 1280, height: 800 });
    const count = await mark();
    for (const one of THEMES) {
        await theme(one);
        for (let number = 0; number < count; number++) {
            const control = page.locator(`[data-looked="${number}"]`);
            const called = await control.evaluate((it) => (
                `${it.tagName.toLowerCase()}.${it.getAttribute('class') ?? ''} "${(it.ariaLabel ?? it.textContent).trim().slice(0, 30)}"`));
            controls++;
            let before = '';
            for (const state of ['hover', 'focus']) {
                if (state === 'hover') await control.hover({ force: true, timeout: 1000 }).catch(() => {});
                else {
                    await page.mouse.move(1, 1);
                    await page.keyboard.press('Shift');
                    before = await drawnAs(number);
                    await control.focus();
                }
                const bad = await violations(`[data-looked="${number}"]`, ['color-contrast']);
                for (const line of bad) say(`${name}, ${one}, ${state} on ${called}: ${line}`);
                const isDrawing = state === 'focus' && await control.evaluate((it) => it instanceof SVGElement);
                if (isDrawing && before === await drawnAs(number)) say(`${name}, ${one}: focus on ${called} changes nothing`);
                if (state === 'focus' && !isDrawing) {
                    const seen = await ring();
                    if (seen < RING) say(`${name}, ${one}: focus on ${called} is drawn with ${seen} to 1`);
                }
            }
        }
    }
}
await browser.close();
console.log(`${looks} looks by axe, ${controls} controls pointed at and gone to, in ${addresses.length} views; ${found.size} found`);
process.exit(found.size === 0 ? 0 : 1);
