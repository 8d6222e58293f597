// Away from the feed in the middle. From a key on a feed's pin to the frame that shows another curve, so many times; run in the page by tests/bench.php.
const done = arguments[arguments.length - 1];
const times = [];
const curve = () =>
    [...document.querySelectorAll('path[stroke="var(--ember)"][fill=none]')].map((p) => p.getAttribute('d')).join('|');
const frame = () => new Promise((next) => requestAnimationFrame(next));
(async () => {
    for (let n = 0; n < 55; n++) {
        const pin = document.querySelector('[data-feed=f1]');
        pin.focus();
        const was = curve();
        const at = performance.now();
        pin.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowLeft', bubbles: true }));
        while (curve() === was && performance.now() - at < 3000) {
            await frame();
        }
        await frame();
        times.push(performance.now() - at);
        await new Promise((rested) => setTimeout(rested, 500));
    }
    done(times);
})();
