// Sends the files of a recording in pieces, so that one that breaks off goes on where it was.
import { token } from '../page/send.js';

const TRIES = 5;
const WAIT_MS = 2000;

const post = async (to, body, type) => {
    const answer = await fetch(to, {
        method: 'POST', headers: { 'Content-Type': type, Accept: 'application/json', 'X-CSRF-TOKEN': token() }, body,
    });
    const said = await answer.json().catch(() => ({}));
    if (!answer.ok) throw Object.assign(new Error(said.message ?? `The server answered ${answer.status}.`), { status: answer.status });
    return said;
};

const pause = () => new Promise((go) => { setTimeout(go, WAIT_MS); });

export function takeFiles() {
    return {
        isBusy: false,
        percent: 0,
        says: '',
        marked: '',
        began: null,
        open: {},
        marks: [],

        seconds() {
            return Math.round((performance.now() - this.began) / 100) / 10;
        },

        begin() {
            this.began = performance.now();
            this.open = {};
            this.marks = [];
            this.show();
        },

        // Who begins to speak, or ends.
        mark(event) {
            const { source } = event.target.dataset;
            if (this.began === null) {
                this.marked = 'Say first when the recording starts.';
                return;
            }
            if (this.open[source] === undefined) {
                this.open[source] = this.seconds();
            } else {
                this.marks.push({ source, from: this.open[source], to: this.seconds() });
                delete this.open[source];
            }
            this.show();
        },

        show() {
            for (const button of this.$root.querySelectorAll('[data-source]')) {
                button.setAttribute('aria-pressed', String(this.open[button.dataset.source] !== undefined));
            }
            const count = this.marks.length;
            this.marked = `Recording; ${count} ${count === 1 ? 'turn' : 'turns'} marked.`;
        },

        allMarks() {
            const open = Object.entries(this.open).map(([source, from]) => ({ source, from, to: this.seconds() }));
            return [...this.marks, ...open];
        },

        async send() {
            const form = this.$root;
            const files = [...form.elements.files.files];
            const all = files.reduce((sum, file) => sum + file.size, 0);
            this.isBusy = true;
            this.percent = 0;
            try {
                const { to, piece } = await post(form.dataset.to, JSON.stringify({
                    unit: form.elements.unit.value,
                    situation: form.elements.situation.value,
                    files: files.map(({ name, size }) => ({ name, bytes: size })),
                    marks: this.allMarks(),
                }), 'application/json');
                let before = 0;
                for (const [index, file] of files.entries()) {
                    await this.sendOne(`${to}/files/${index}`, file, piece, (sent) => {
                        this.percent = Math.round(100 * (before + sent) / Math.max(1, all));
                        this.says = `${this.percent} % sent`;
                    });
                    before += file.size;
                }
                const ready = await post(`${to}/ready`, '{}', 'application/json');
                window.location.assign(ready.to);
            } catch (trouble) {
                this.says = `It did not come in: ${trouble.message}`;
                this.isBusy = false;
            }
        },

        async sendOne(to, file, piece, tell) {
            let from = 0;
            let tries = 0;
            while (from < file.size) {
                try {
                    const bytes = file.slice(from, from + piece);
                    from = (await post(`${to}?from=${from}`, bytes, 'application/octet-stream')).bytes;
                    tries = 0;
                    tell(from);
                } catch (trouble) {
                    tries += 1;
                    if (tries === TRIES || (trouble.status >= 400 && trouble.status < 500 && trouble.status !== 429)) throw trouble;
                    await pause();
                }
            }
        },
    };
}
