// How hard a password is to guess, roughly: what it is made of, and how long it is.
const WORDS = ['too short', 'weak', 'fair', 'strong'];

const strengthOf = (password) => {
    if (password.length < 10) return 0;
    const kinds = [/[a-z]/, /[A-Z]/, /\d/, /[^A-Za-z0-9]/].filter((kind) => kind.test(password)).length;
    const bits = new Set(password).size * 2 + password.length * (1 + kinds / 2);
    return bits > 60 ? 3 : bits > 42 ? 2 : 1;
};

export function strength() {
    return {
        says: '',

        measure(event) {
            const { value } = event.target;
            this.says = value === '' ? '' : `This password is ${WORDS[strengthOf(value)]}.`;
        },
    };
}
