<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** Whether a page can be used by everybody. */
trait Accessible
{
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
        $driver->executeScript((string) file_get_contents(dirname(__DIR__, 2) . '/node_modules/axe-core/axe.min.js'));
        $result = $driver->executeAsyncScript(
            'const done = arguments[arguments.length - 1]; const only = { resultTypes: ["violations"] }; const ' .
                'field = ".editor textarea"; const all = axe.run({ exclude: [["[data-headlessui-focus-guard]"], ' .
                '["#nprogress"], [field]] }, only).then((a) => a.violations); const both = ' .
                'document.querySelector(field) ? all.then((a) => axe.run({ include: [[field]] }, { ...only, rules: { ' .
                '"color-contrast": { enabled: false } } }).then((b) => [...a, ...b.violations])) : all; ' .
                'both.then((found) => done(found.filter((v) => ["serious", "critical"].includes(v.impact)).map((v) ' .
                '=> v.id + ": " + v.nodes.map((n) => n.html.slice(0, 160) + " " + n.failureSummary).join(" | "))))',
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
