import { test } from '@playwright/test';
import { openRig, rigOf, signIn } from './hands.js';
import { look } from './look.js';

test('the largest views of a large rig, and the views beside a rig: nothing for axe to find, nothing out of the frame', async ({ page, browser }) => {
    await signIn(page);
    await openRig(page, 'Night relay at the pier arcade');
    const rig = rigOf(page);
    for (const view of ['wishes?pair=rally:viewers', 'wiring?pens=rally,voice&pair=chime:viewers&select=unit:mixer', 'wiring?select=cable:w-07', 'wiring?select=socket:cast-pc/usb-4&depth=sockets&with=mixer/phones', 'book', 'import-cables']) {
        await look(page, `/rigs/${rig}/${view}`, { inDark: true });
    }
    for (const address of ['/', '/account', '/models', '/models/mixer', '/models/new?from=eight-input-desk', '/catalogue?model=webcam']) {
        await look(page, address, { inDark: address === '/' });
    }
    const guest = await (await browser.newContext({ baseURL: new URL(page.url()).origin })).newPage();
    for (const address of ['/register', '/sign-in', '/forgotten']) await look(guest, address);
});
