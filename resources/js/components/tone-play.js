// Plays the minute of one sound in a tone test, begun by a hand.
export function tonePlay() {
    return {
        label: 'Play',
        // The button waits for this script.
        isAway: false,
        says: '',
        at: 0,

        async play() {
            const { sound } = this.$refs;
            if (!sound.paused) {
                sound.pause();
                sound.currentTime = 0;
                this.label = 'Play';
                this.says = 'Stopped. Play it from the beginning.';
                return;
            }
            try {
                await sound.play();
                this.label = 'Stop';
                this.says = 'Playing.';
            } catch {
                this.says = 'This browser does not play it. Take the WAV file instead.';
            }
        },

        tick() {
            this.at = Math.round(this.$refs.sound.currentTime);
        },

        over() {
            this.label = 'Play again';
            this.says = 'Played to the end.';
        },
    };
}
