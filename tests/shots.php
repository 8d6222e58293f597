<?php

declare(strict_types=1);

use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Key;
use Facebook\WebDriver\WebDriverSelect;
use Tests\Browser\Browser;
use Tests\Browser\Server;

require __DIR__ . '/../vendor/autoload.php';

$directory = __DIR__ . '/../docs/screenshots';
@mkdir($directory, 0777, true);
$server = Server::start(shipped: true);
$browser = Browser::start();
$driver = $browser->driver;

$open = static function (string $path, string $until) use ($driver, $server): void {
    $driver->get($server->url . $path);
    $driver->wait(10)->until(static fn(): bool => $driver->findElements(WebDriverBy::cssSelector($until)) !== []);
    usleep(400_000);
};
$press = static function (string $key, int $rest = 700_000) use ($driver): void {
    $driver->getKeyboard()->sendKeys($key);
    usleep($rest);
};
$shot = static function (string $name, int $width = 1280, int $height = 800) use ($driver, $directory): void {
    $file = "{$directory}/{$name}.png";
    $driver->takeScreenshot($file);
    [$w, $h] = getimagesize($file) ?: [0, 0];
    if ([$w, $h] !== [$width, $height]) {
        throw new RuntimeException("{$name} is {$w} x {$h}.");
    }
    echo "docs/screenshots/{$name}.png\n";
};

try {
    $open('/sign-in', 'form button.press');
    $driver->findElement(WebDriverBy::cssSelector('form button.press'))->click();
    $driver->wait(10)->until(static fn(): bool => $driver->findElements(WebDriverBy::cssSelector('article')) !== []);
    $driver
        ->wait(20)
        ->until(
            static fn(): bool => !str_contains(
                $driver->findElement(WebDriverBy::tagName('main'))->getText(),
                'Loading',
            ),
        );
    usleep(700_000);
    $shot('home');
    $open('/people', 'h1');
    $shot('people');
    $open('/jobs/1/survey', 'textarea');
    $shot('survey');
    $open('/jobs/1/survey', 'textarea');
    $press('t');
    $driver
        ->wait(10)
        ->until(static fn(): bool => $driver->findElements(WebDriverBy::cssSelector('[role=dialog] .press')) !== []);
    $driver->findElement(WebDriverBy::cssSelector('[role=dialog] .press'))->click();
    usleep(400_000);
    $shot('survey-trace');
    $browser->size(390, 844);
    usleep(400_000);
    $shot('survey-phone', 390, 844);
    $browser->size(1280, 800);
    $open('/jobs/1/kit', 'button.row');
    $press('c');
    $shot('kit');
    $press('o', 2_500_000);
    $shot('kit-options');
    $open('/shelf', 'section button');
    $driver->findElement(WebDriverBy::xpath('//nav//button[starts-with(normalize-space(.), "Controllers")]'))->click();
    usleep(600_000);
    $driver->findElement(WebDriverBy::cssSelector('section li button'))->click();
    usleep(900_000);
    $shot('shelf');
    $open('/jobs/1/wire', '[data-feed]');
    $driver->findElement(WebDriverBy::xpath('//button[normalize-space(.)="None"]'))->click();
    $driver->findElement(WebDriverBy::xpath('//button[contains(normalize-space(.), "Cove")]'))->click();
    usleep(1_500_000);
    $press('p', 900_000);
    $driver->findElement(WebDriverBy::xpath('//button[normalize-space(.)="Find the cheapest"]'))->click();
    usleep(9_000_000);
    $shot('wire-proposal');
    $press(Key::ESCAPE);
    $press('b', 1_200_000);
    $press('m', 1_200_000);
    $driver
        ->wait(10)
        ->until(
            static fn(): bool => count(
                $driver->findElements(WebDriverBy::cssSelector('article[data-run=cove] [data-feed]')),
            ) === 3,
        );
    $driver
        ->findElements(WebDriverBy::cssSelector('article[data-run=cove] [data-feed]'))[1]
        ->sendKeys([Key::ARROW_RIGHT]);
    usleep(900_000);
    $shot('wire');
    $driver->findElement(WebDriverBy::cssSelector('select[aria-label=Scene] option:nth-child(2)'))->click();
    usleep(900_000);
    $driver->executeScript("document.getElementById('supplies').scrollIntoView({block: 'center'})");
    usleep(300_000);
    $shot('wire-scene');
    $driver->findElement(WebDriverBy::cssSelector('select[aria-label=Scene] option:nth-child(1)'))->click();
    usleep(600_000);
    // A practice with faults put in: the meter on the cove, the colours of the path on a phone.
    $open('/jobs/1/bench?run=cove', '#meter');
    $press('p');
    $driver
        ->findElement(WebDriverBy::cssSelector('[role=dialog] input'))
        ->sendKeys([Key::CONTROL . 'a' . Key::NULL, '5']);
    $driver->findElement(WebDriverBy::cssSelector('[role=dialog] textarea'))->sendKeys("feed@f1\nleads@path:1243:1:-");
    $driver->findElement(WebDriverBy::cssSelector('[role=dialog] button.press'))->click();
    usleep(3_000_000);
    $click = static function (string $xpath) use ($driver): void {
        $found = $driver->findElements(WebDriverBy::xpath($xpath));
        if ($found !== []) {
            $driver->executeScript('arguments[0].click()', [$found[0]]);
        }
        usleep(1_500_000);
    };
    $meter = '//section[@aria-labelledby="meter"]';
    for ($n = 0; $n < 3; $n++) {
        $click("{$meter}//button[starts-with(normalize-space(.), 'Read the simulated')]");
        $click("{$meter}//button[normalize-space(.)='Save reading']");
        $click("{$meter}//div[@role='status']//button[contains(@class, 'act')]");
    }
    $driver->executeScript("document.getElementById('meter').scrollIntoView()");
    usleep(500_000);
    $shot('bench');
    $click('//nav[@aria-label="Runs"]//button[starts-with(normalize-space(.), "Path")]');
    $click('//nav[@aria-label="Tests"]//button[starts-with(normalize-space(.), "Colour by colour")]');
    for ($n = 0; $n < 4; $n++) {
        $click('//button[@data-simulated]');
    }
    $browser->size(390, 844);
    usleep(600_000);
    $driver->executeScript("document.querySelector('ol svg, ol .swatch, main ol')?.closest('.grid')?.scrollIntoView()");
    usleep(300_000);
    $shot('bench-phone', 390, 844);
    $browser->size(1280, 800);
    $open('/jobs/1/parts', 'figure svg');
    $shot('parts');
    $open('/jobs/1/build', '[data-day]');
    $shot('build');
    $driver->findElement(WebDriverBy::cssSelector('[data-day]:nth-of-type(3)'))->click();
    usleep(500_000);
    $driver
        ->findElement(WebDriverBy::cssSelector('[data-bar]'))
        ->sendKeys([Key::ARROW_RIGHT, Key::ARROW_RIGHT, Key::ARROW_RIGHT, Key::ARROW_RIGHT]);
    usleep(900_000);
    $shot('build');
    $open('/jobs/2/join', 'main button');
    $driver->executeScript('document.documentElement.dataset.face = "night"');
    $press('b');
    $press('d', 1_200_000);
    $press('y', 900_000);
    $press('d', 900_000);
    $press('d', 1_200_000);
    $shot('join');
    $driver->executeScript('document.documentElement.dataset.face = "day"');
    $open('/jobs/1/scenes', '.board');
    $driver->findElement(WebDriverBy::cssSelector('form input'))->sendKeys('all but the cove, 30 %' . Key::ENTER);
    $driver->wait(20)->until(static fn(): bool => $driver->findElements(WebDriverBy::cssSelector('tr.said')) !== []);
    $shot('scenes');
    // A lesson that has turned the wrong way: linked before the remote was in the hub's network.
    $open('/practice', '.path');
    $driver->findElement(WebDriverBy::xpath('//li[contains(., "Hub first")]//button'))->click();
    usleep(900_000);
    $named = static fn(string $text): RemoteWebElement => $driver->findElement(
        WebDriverBy::xpath("//button[normalize-space(.)='{$text}']"),
    );
    $key = static function (string $label, int $times, float $held = 0.0) use ($driver): void {
        $driver->executeScript(
            'const key = document.querySelector(`button[aria-label="${arguments[0]}"]`); const finger = (kind) => ' .
                'key.dispatchEvent(new PointerEvent(kind, { bubbles: true, pointerId: 1 })); for (let n = 0; n < ' .
                'arguments[1]; n++) { setTimeout(() => { finger("pointerdown"); setTimeout(() => finger("pointerup"), ' .
                'arguments[2] * 1000); }, n * 250); }',
            [$label, $times, $held],
        );
        usleep((int) (1e6 * ($held + 0.25 * $times + 0.4)));
    };
    $named('On')->click();
    $named('Search')->click();
    $key('SET of C1', 7);
    sleep(9);
    $key('SET of C1', 6);
    (new WebDriverSelect(
        $driver->findElement(WebDriverBy::cssSelector('select[aria-label="R1 held to"]')),
    ))->selectByVisibleText('C1');
    $key('zone 1 of R1', 1, 3.2);
    $key('NEW of R1', 1);
    sleep(4);
    $driver->findElement(WebDriverBy::xpath('//button[contains(., "Finished")]'))->click();
    $driver->findElement(WebDriverBy::xpath('//button[contains(., "Test every control now")]'))->click();
    $driver
        ->wait(10)
        ->until(
            static fn(): bool => $driver->findElements(WebDriverBy::xpath('//button[contains(., "that moment")]')) !==
                [],
        );
    $driver->findElement(WebDriverBy::xpath('//button[contains(., "that moment")]'))->click();
    usleep(900_000);
    $shot('practice');
    $open('/jobs/1/handover', 'article');
    $shot('hand-over');
} finally {
    $browser->stop();
    $server->stop();
}
