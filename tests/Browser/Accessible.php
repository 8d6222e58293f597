<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** Whether a page can be used by everybody. */
trait Accessible
{
    /** Rules of WCAG at A and AA; axe-core's other rules are advice, of which these are serious (its own rating, from memory). */
    private const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

    private const EXTRA = ['accesskeys', 'aria-dialog-name', 'aria-treeitem-name', 'label-title-only', 'tabindex'];

    /**
     * Asserts no serious or critical axe-core violation on the page. Excluded are the focus guards of Headless UI (they pass the focus on),
     * Inertia's progress bar, and the contrast of the notes' field: its text is drawn by the layer behind it, which is checked. Runs at other
     * moments (EMBER_NOW) are about days and hours, and leave it to the normal run.
     */
    protected function assertAccessible(string $screen): void
    {
        if ((string) getenv('EMBER_NOW') !== '') {
            return;
        }
        $driver = $this->browser()->driver;
        if ($driver->executeScript('return "axe" in window') !== true) {
            $axe = dirname(__DIR__, 2) . '/node_modules/axe-core/axe.min.js';
            $driver->executeScript((string) file_get_contents($axe));
        }
        $result = $driver->executeAsyncScript(
            'const [tags, extra, done] = arguments; const rules = Object.fromEntries(extra.map((r) => [r, { enabled: true }])); ' .
                'const only = { resultTypes: ["violations"], runOnly: { type: "tag", values: tags }, rules }; ' .
                'const field = ".editor textarea"; const all = axe.run({ exclude: [["[data-headlessui-focus-guard]"], ' .
                '["#nprogress"], [field]] }, only).then((a) => a.violations); const both = ' .
                'document.querySelector(field) ? all.then((a) => axe.run({ include: [[field]] }, { ...only, rules: { ' .
                '"color-contrast": { enabled: false } } }).then((b) => [...a, ...b.violations])) : all; ' .
                'both.then((found) => done(found.filter((v) => ["serious", "critical"].includes(v.impact)).map((v) ' .
                '=> v.id + ": " + v.nodes.map((n) => n.html.slice(0, 160) + " " + n.failureSummary).join(" | "))))',
            [self::TAGS, self::EXTRA],
        );
        self::assertSame([], $result, "axe-core on {$screen}");
    }

    /** Tabs until an element that matches has the focus: what no Tab reaches, no keyboard reaches. */
    protected function tabTo(string $css, int $most = 110): void
    {
        for ($n = 0; $n < $most; $n++) {
            if (
                $this->browser()->driver->executeScript('return document.activeElement.matches(arguments[0])', [
                    $css,
                ]) === true
            ) {
                return;
            }
            $this->press(WebDriverKeys::TAB);
        }
        self::fail("Tab does not reach “{$css}”.");
    }
}
