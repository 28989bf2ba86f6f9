import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { test, expect } from '@playwright/test';
import { documentOf, rigOf, said, signIn } from './hands.js';

// What a person does is counted: a select is two clicks, a drag one, a key that replaces a click one, a field one filled input.
const countedHands = (page) => {
    const done = { clicks: 0, fields: 0, loads: 0 };
    page.on('load', () => done.loads++);
    const calm = () => page.waitForFunction(() => !document.body.hasAttribute('aria-busy') && !document.querySelector('form[aria-busy]'));
    const counted = (kind, by, act) => async (...what) => {
        done[kind] += by;
        await act(...what);
        await calm();
    };
    const middle = async (locator) => {
        const { x, y, width, height } = await locator.locator('.socket').boundingBox();
        return [x + width / 2, y + height / 2];
    };
    return {
        done,
        click: counted('clicks', 1, (at) => at.click()),
        key: counted('clicks', 1, (key) => page.keyboard.press(key)),
        select: counted('clicks', 2, (at, label) => at.selectOption({ label })),
        fill: counted('fields', 1, (at, text) => at.fill(text)),
        drag: counted('clicks', 1, async (from, to) => {
            const [x, y] = await middle(from);
            await page.mouse.move(x, y);
            await page.mouse.down();
            await page.mouse.move(x + 20, y + 5, { steps: 4 });
            await page.mouse.move(...(await middle(to)), { steps: 6 });
            await page.mouse.up();
        }),
    };
};

const EQUIPMENT = `Microphone = dynamic microphone
Headset = headset with two plugs
Adapter = 6.35 mm to 3.5 mm adapter
Mixer = USB mixer eight channels
Game computer = gaming computer
game
Streaming computer = streaming computer
broadcast program
call program
music player
capture card
tablet
soundboard
Converter = USB converter without inputs
call service`;

const CABLES = [
    ['microphone/out', 'mixer/mic-1'], ['mixer/phones', 'adapter/large'], ['adapter/small', 'headset/phones'],
    ['game-computer/hdmi-1', 'capture-card-with-line-in/picture-1'], ['capture-card-with-line-in/usb', 'streaming-computer/usb-1'],
    ['game-computer/line-out', 'mixer/return-1'], ['mixer/usb', 'streaming-computer/usb-2'], ['tablet/usb-c-1', 'converter/usb'],
    ['converter/phones', 'mixer/return-2'], ['call-program/session', 'call-service/member-1'],
];

const PICKS = {
    'Streaming computer': [
        ['Music', 'USB mixer, eight channels'], ['Speaker', 'USB mixer, eight channels'], ['Microphone', 'USB mixer, eight channels'],
        ['Source 1', 'USB mixer, eight channels'], ['Source 2', 'loopback of USB mixer, eight channels'],
    ],
    'Game computer': [['Game sound', 'Green socket, built-in sound']],
    Tablet: [['Pads', 'USB sound']],
};

/** What the command says of a document: cells that are not as wished, over all situations. */
const notAsWished = (text, file) => {
    writeFileSync(file, text);
    return JSON.parse(text).situations.flatMap(({ id }) => {
        const report = execFileSync('php', ['artisan', 'rig:report', file, `--situation=${id}`, '--json'], { encoding: 'utf8' });
        return JSON.parse(report).hearing.filter(({ verdict }) => !['ok', 'unwished', 'silent'].includes(verdict)).map(({ source, listener }) => `${source} at ${listener}, ${id}`);
    });
};

test('a rig of fifteen units with a call, a tablet and a break is planned and set in few clicks, from empty to all as wished', async ({ page }, info) => {
    await signIn(page);
    const { click, key, select, fill, drag, done } = countedHands(page);
    const button = (name) => page.getByRole('button', { name });

    // It begins at Empty: what sounds and who listens.
    await fill(page.getByLabel('Name of the new rig'), 'Tide pool show');
    await click(button('Create'));
    await page.waitForURL(/wishes/);
    for (const sound of ['Voice', 'Game', 'Music', 'Caller']) {
        await click(button(new RegExp(`^${sound}.*new sound`)));
        await expect(page.locator('.hearing tbody th', { hasText: sound })).toBeVisible();
    }
    await fill(page.getByLabel('Name of the new sound'), 'Soundboard');
    await select(page.getByLabel('Kind of the new sound'), 'other');
    await click(button('Add the sound'));
    await expect(page.locator('.hearing tbody th', { hasText: 'Soundboard' })).toBeVisible();
    for (const listener of ['Me', 'Viewers', 'Caller']) {
        await click(button(new RegExp(`^${listener}.*new listener`)));
        await expect(page.locator('.hearing thead th', { hasText: listener })).toBeVisible();
    }

    // Wishes: two whole columns, then what differs.
    for (const listener of ['Viewers', 'Me']) {
        await click(page.locator('.hearing thead button.column', { hasText: listener }));
        await key('m');
        await expect(said(page)).toContainText(`must be heard by ${listener}`);
    }
    const wish = async (sound, listener, with_, says) => {
        await click(page.getByRole('link', { name: new RegExp(`^${sound} at ${listener}:`) }).locator('visible=true').first());
        await expect(page.getByRole('group', { name: `Wish for ${sound} at ${listener}` })).toBeVisible();
        await key(with_);
        await expect(said(page)).toContainText(`${sound} ${says} ${listener}`);
    };
    await wish('Voice', 'Me', 'y', 'may be heard by');
    await wish('Voice', 'Caller', 'm', 'must be heard by');
    await wish('Game', 'Caller', 'm', 'must be heard by');
    await wish('Soundboard', 'Caller', 'm', 'must be heard by');
    await wish('Caller', 'Caller', 'n', 'must not be heard by');

    // Equipment, one thing a line; what was understood is looked at, and taken.
    await key('2');
    await page.waitForURL(/stock/);
    await fill(page.getByLabel('One thing a line'), EQUIPMENT);
    await click(button('Read the list'));
    await expect(page.getByRole('heading', { name: '15 lines read' })).toBeVisible();
    await click(button('Add all'));
    await expect(said(page)).toContainText('Added 15 units and 5 places');
    await click(button('Set 8 as suggested'));
    await expect(said(page)).toContainText('Caller listens at Guest 1, ear of Call service');

    // Cables, drawn on the map.
    await key('3');
    await page.waitForURL(/wiring/);
    await click(page.locator('.depths').getByRole('link', { name: 'Sockets', exact: true }));
    await page.waitForURL(/depth=sockets/);
    for (const [from, to] of CABLES) {
        await expect(page.locator('[data-map][data-ready]')).toBeVisible();
        await drag(page.locator(`[data-port="${from}"]`), page.locator(`[data-port="${to}"]`));
        await expect.poll(async () => JSON.parse(await documentOf(page, rigOf(page))).cables.map((one) => `${one.from} ${one.to}`))
            .toContain(`${from} ${to}`);
    }

    // Which device each program uses.
    await key('4');
    await page.waitForURL(/computers/);
    for (const [computer, picks] of Object.entries(PICKS)) {
        await click(page.getByRole('navigation', { name: 'Computers' }).getByRole('link', { name: computer }));
        // The computer is chosen when the address says so: one of them is shown before.
        await expect.poll(() => new URL(page.url()).searchParams.get('select')).toBe(`unit:${computer.toLowerCase().replace(' ', '-')}`);
        await expect(page.getByRole('heading', { name: new RegExp(`^${computer}`) })).toBeVisible();
        for (const [point, device] of picks) {
            await select(page.getByLabel(new RegExp(`^Device for ${point} of`)), device);
            await expect(said(page)).toContainText(`${point} uses ${device}`);
        }
    }

    // What is left is found, and cured by one click.
    await click(button(/^Apply all/));
    await expect(page.getByRole('link', { name: 'All as wished' })).toBeVisible();

    // The break: on the air is the music; the caller, who waits, may be.
    await key('7');
    await page.waitForURL(/situations/);
    await fill(page.getByLabel('Name of the new situation'), 'Break');
    await key('Enter');
    await expect(said(page)).toContainText('New situation: Break');
    await click(page.getByRole('navigation', { name: 'Situation' }).getByRole('link', { name: 'Break' }));
    await page.waitForURL(/situation=break/);
    await key('1');
    await page.waitForURL(/wishes/);
    await click(page.locator('.hearing thead button.column', { hasText: 'Viewers' }));
    await key('n');
    await expect(said(page)).toContainText('by Viewers in Break');
    await wish('Music', 'Viewers', 'm', 'must be heard by');
    await wish('Caller', 'Viewers', 'y', 'may be heard by');
    await click(page.locator('.next-step').getByRole('button', { name: /^Apply/ }));
    await expect(page.getByRole('link', { name: 'All as wished' })).toBeVisible();

    const text = await documentOf(page, rigOf(page));
    expect(JSON.parse(text).units).toHaveLength(15);
    expect(JSON.parse(text).situations).toHaveLength(2);
    expect(notAsWished(text, info.outputPath('rig.json'))).toEqual([]);
    console.log(`    ${done.clicks} clicks, ${done.fields} fields, ${done.loads} page loads`);
    expect(done.clicks).toBeLessThan(120);
    expect(done.fields).toBeLessThan(40);
    expect(done.loads).toBeLessThan(5);
});
