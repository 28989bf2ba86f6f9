// The picks of a computer's programs as lines between device and program, dashed as everything inside a computer, pens below them. What the
// pointer or the focus is on stands out. Choosing is still done by the list.
const SVG = 'http://www.w3.org/2000/svg';

const line = (path, classes) => {
    const made = document.createElementNS(SVG, 'path');
    made.setAttribute('d', path);
    made.setAttribute('class', classes);
    return made;
};

export function pickLines() {
    return {
        watch: null,
        lines: [],

        init() {
            this.watch = new ResizeObserver(() => this.draw());
            this.watch.observe(this.$root);
            this.draw();
        },

        destroy() {
            this.watch?.disconnect();
        },

        draw() {
            const picture = this.$refs.lines;
            const frame = this.$root.getBoundingClientRect();
            const devices = new Map([...this.$root.querySelectorAll('[data-device]')].map((row) => [row.dataset.device, row]));
            picture.setAttribute('width', frame.width);
            picture.setAttribute('height', frame.height);
            const drawn = [];
            this.lines = [];
            for (const pick of this.$root.querySelectorAll('[data-picks]')) {
                const to = pick.getBoundingClientRect();
                for (const ref of pick.dataset.picks.split(' ').filter(Boolean)) {
                    const row = devices.get(ref)?.querySelector('summary')?.getBoundingClientRect();
                    // In one column there is no room between them.
                    if (!row || row.right > to.left) continue;
                    const [x1, y1] = [row.right - frame.left, row.top + row.height / 2 - frame.top];
                    const [x2, y2] = [to.left - frame.left, to.top + Math.min(16, to.height / 2) - frame.top];
                    const middle = (x1 + x2) / 2;
                    const path = `M${x1},${y1} C${middle},${y1} ${middle},${y2} ${x2},${y2}`;
                    for (const pen of (pick.dataset.pens ?? '').split(' ').filter(Boolean)) drawn.unshift(line(path, `pen-stroke pen-${pen}`));
                    const made = line(path, 'pick-line');
                    this.lines.push([made, pick, devices.get(ref)]);
                    drawn.push(made);
                }
            }
            picture.replaceChildren(...drawn);
            this.light();
        },

        // Nothing is measured for that.
        light() {
            for (const [made, ...ends] of this.lines) made.classList.toggle('lit', ends.some((end) => this.isAt(end)));
        },

        isAt(row) {
            return row.matches(':hover') || row.contains(document.activeElement);
        },
    };
}
