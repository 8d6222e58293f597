<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Exception\NoSuchElementException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Remote\DriverCommand;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\TestCase;
use Throwable;

/**
 * Drives the real screens in headless Chromium: its own server with a fresh demo database and its own ChromeDriver, on
 * free ports. A failure keeps picture and console in tests/Browser/failures; an error in the console fails the test.
 */
abstract class BrowserTestCase extends TestCase
{
    use Accessible;

    /** Seconds: nothing is slower for them where it is there, and a machine may be held up for half a minute. */
    protected const PATIENCE = 90.0;

    private static ?Server $server = null;

    private static ?Browser $browser = null;

    /** @var list<string> messages of the console that the test itself provoked */
    protected array $expectedErrors = [];

    public static function setUpBeforeClass(): void
    {
        self::$server = Server::start();
        self::$browser = Browser::start();
    }

    public static function tearDownAfterClass(): void
    {
        self::$browser?->stop();
        self::$server?->stop();
        self::$browser = self::$server = null;
    }

    protected function tearDown(): void
    {
        foreach ($this->console() as $line) {
            foreach ($this->expectedErrors as $expected) {
                if (str_contains($line, $expected)) {
                    continue 2;
                }
            }
            self::fail("The console says: {$line}");
        }
    }

    protected function onNotSuccessfulTest(Throwable $t): never
    {
        $directory = __DIR__ . '/failures';
        @mkdir($directory);
        $name = $directory . '/' . preg_replace('/\W+/', '-', static::class . '-' . $this->nameWithDataSet());
        if (self::$browser !== null) {
            self::$browser->driver->takeScreenshot($name . '.png');
            file_put_contents($name . '.log', implode("\n", $this->console()) . "\n\n" . self::$server?->log());
        }

        throw $t;
    }

    protected function browser(): Browser
    {
        return self::$browser ?? self::fail('No browser.');
    }

    protected function server(): Server
    {
        return self::$server ?? self::fail('No server.');
    }

    protected function open(string $path): void
    {
        $this->browser()->driver->get(self::$server?->url . $path);
    }

    /** Return value of a script in the page. */
    protected function js(string $code): mixed
    {
        return $this->browser()->driver->executeScript($code);
    }

    protected function path(): string
    {
        return (string) parse_url($this->browser()->driver->getCurrentURL(), PHP_URL_PATH);
    }

    /** Number of the job whose Survey opens; its text can be there before its address. */
    protected function opened(): int
    {
        $this->see('Wall notes');
        $this->eventually(fn(): bool => preg_match('#^/jobs/\d+/survey$#', $this->path()) === 1, 'no Survey is opened');

        return (int) explode('/', $this->path())[2];
    }

    protected function signIn(): void
    {
        $this->open('/sign-in');
        if ($this->path() === '/sign-in') {
            $this->find('form button.press');
            // A page that is left while its store is being made may leave a store behind that never answers.
            $this->eventually(
                fn(): bool => $this->browser()->driver->executeAsyncScript(
                    'indexedDB.databases().then((all) => arguments[0](all.some((d) => d.version > 0)))',
                ) === true,
                'the device’s store is not made',
            );
            $this->find('form button.press')->click();
        }
        // Also who is signed in already comes to a page that must hear keys first.
        $this->see('Jobs of');
    }

    /** The first element that a selector finds, as soon as there is one that is shown. */
    protected function find(string $css): RemoteWebElement
    {
        return $this->first($css, static fn(RemoteWebElement $element): bool => $element->isDisplayed());
    }

    /** A shown element that has stopped moving, for clicks by position. */
    protected function still(string $css): RemoteWebElement
    {
        $this->quiet();
        $at = null;
        $this->eventually(function () use ($css, &$at): bool {
            [$before, $where] = [
                $at,
                'return JSON.stringify(document.querySelector(arguments[0])?.getBoundingClientRect())',
            ];
            usleep(200_000);
            $at = $this->browser()->driver->executeScript($where, [$css]);

            return $at !== null && $at === $before;
        }, "“{$css}” does not hold still");

        return $this->find($css);
    }

    /** A file input, once present: it is never shown, a button opens it. */
    protected function filePicker(string $css = 'input[type=file]'): RemoteWebElement
    {
        return $this->first($css, static fn(): bool => true);
    }

    /** @param  callable(RemoteWebElement): bool  $fits */
    private function first(string $css, callable $fits): RemoteWebElement
    {
        $found = null;
        $this->eventually(function () use ($css, $fits, &$found): bool {
            foreach ($this->browser()->driver->findElements(WebDriverBy::cssSelector($css)) as $element) {
                if ($fits($element)) {
                    $found = $element;

                    return true;
                }
            }

            return false;
        }, "“{$css}” does not appear");
        assert($found instanceof RemoteWebElement);

        return $found;
    }

    /** Waits until all requests of the page are answered: elements pressed before may be replaced. */
    protected function quiet(): void
    {
        $this->eventually(fn(): bool => $this->js('return window.unheard?.() ?? 0') === 0, 'the page still asks');
    }

    /**
     * Clicks the found element, again if the page was redrawn in between.
     *
     * @param  callable(): RemoteWebElement  $found
     */
    protected function click(callable $found): void
    {
        $this->quiet();
        $this->eventually(static function () use ($found): bool {
            $found()->click();

            return true;
        }, 'what is to be clicked does not hold still');
    }

    /** A button by the words that it begins with. */
    protected function button(string $text): RemoteWebElement
    {
        $found = null;
        $this->eventually(function () use ($text, &$found): bool {
            foreach (
                $this->browser()->driver->findElements(
                    WebDriverBy::xpath("//button[starts-with(normalize-space(.), '{$text}')]"),
                )
                as $button
            ) {
                if ($button->isDisplayed() && $button->isEnabled()) {
                    $found = $button;

                    return true;
                }
            }

            return false;
        }, "no button “{$text}”");
        assert($found instanceof RemoteWebElement);

        return $found;
    }

    protected function see(string $text): void
    {
        $this->eventually(fn(): bool => $this->shows($text), "“{$text}” is not shown");
    }

    protected function dontSee(string $text): void
    {
        $this->eventually(fn(): bool => !$this->shows($text), "“{$text}” is still shown");
    }

    /** Whether a text is on the page. What is not even in the document needs no layout: a test asks this many times a second. */
    private function shows(string $text): bool
    {
        return $this->browser()->driver->executeScript(
            'const bare = (text) => text.replace(/\s+/g, "").toLowerCase(); return bare(document.body.textContent).includes(' .
                'bare(arguments[0])) && document.body.innerText.includes(arguments[0])',
            [$text],
        ) === true;
    }

    protected function text(): string
    {
        $text = $this->browser()->driver->executeScript('return document.body.innerText');
        if (is_string($text)) {
            return $text;
        }

        return '';
    }

    /**
     * Request in the page's own session, bypassing the screens: for preparation.
     *
     * @param  array<string, mixed>|null  $body
     * @return array<string, mixed>
     */
    protected function request(string $method, string $path, ?array $body = null): array
    {
        $said = $this->browser()->driver->executeAsyncScript(
            'const token = decodeURIComponent((document.cookie.match(/XSRF-TOKEN=([^;]+)/) ?? [])[1] ?? "");' .
                'fetch(arguments[1], { method: arguments[0], headers: { Accept: "application/json", "X-XSRF-TOKEN": token, ' .
                '...(arguments[2] ? { "Content-Type": "application/json" } : {}) }, body: arguments[2] ?? undefined })' .
                '.then(async (r) => arguments[3](JSON.stringify({ status: r.status, body: await r.json() })))' .
                '.catch((e) => arguments[3](JSON.stringify({ status: 0, body: { message: String(e) } })));',
            [$method, $path, $body === null ? null : json_encode($body)],
        );
        $said = json_decode(is_string($said) ? $said : '', true);
        self::assertIsArray($said);
        self::assertContains($said['status'], [200, 201], "{$method} {$path}: " . json_encode($said['body']));

        return $said['body'];
    }

    /**
     * Changes of a job's plan.
     *
     * @param  array<string, mixed>  ...$changes
     */
    protected function change(int $job, array ...$changes): void
    {
        foreach ($changes as $change) {
            $base = $this->request('GET', "/jobs/{$job}/state?stage=wire")['revision'];
            $this->request('POST', "/jobs/{$job}/change", ['base' => $base, 'stage' => 'wire', 'change' => $change]);
        }
    }

    /** Leaves a job the runs alone: fixtures and with them the modules that dim them go. */
    protected function withoutFixtures(int $job): void
    {
        $fixtures = $this->request('GET', "/jobs/{$job}/state?stage=wire")['desk']['wire']['fixtures'] ?? [];
        self::assertIsArray($fixtures);
        foreach ($fixtures as $fixture) {
            $this->change($job, [
                'kind' => 'SetFixture',
                'fixture' => $fixture['id'],
                'kit' => $fixture['kit'],
                'place' => $fixture['placeId'],
                'count' => 0,
            ]);
        }
    }

    /** Chooses the first of a run's options, as a press on “Choose A” at Kit does. */
    protected function firstOption(int $job, string $run): void
    {
        $this->change($job, $this->request('GET', "/jobs/{$job}/options/{$run}")['options'][0]['take']);
    }

    /** The revision that the page says is kept. */
    protected function revision(): int
    {
        return preg_match('/revision (\d+)/', $this->text(), $found) === 1 ? (int) $found[1] : 0;
    }

    /** Keys to the focused element. */
    protected function press(string ...$keys): void
    {
        foreach ($keys as $key) {
            $strokes = [];
            foreach (mb_str_split($key) as $one) {
                $strokes[] = ['type' => 'keyDown', 'value' => $one];
                $strokes[] = ['type' => 'keyUp', 'value' => $one];
            }
            $this->browser()->driver->execute(DriverCommand::ACTIONS, [
                'actions' => [['type' => 'key', 'id' => 'keyboard', 'actions' => $strokes]],
            ]);
        }
    }

    protected function undoKeys(): void
    {
        $this->browser()
            ->driver->getKeyboard()
            ->sendKeys([WebDriverKeys::CONTROL, 'z', WebDriverKeys::NULL]);
    }

    protected function redoKeys(): void
    {
        $this->browser()
            ->driver->getKeyboard()
            ->sendKeys([WebDriverKeys::CONTROL, WebDriverKeys::SHIFT, 'z', WebDriverKeys::NULL]);
    }

    /** @param  callable(): bool  $holds */
    protected function eventually(callable $holds, string $else): void
    {
        $until = hrtime(true) + 1e9 * self::PATIENCE;
        $wait = 25_000;
        while (true) {
            try {
                if ($holds()) {
                    $this->addToAssertionCount(1);

                    return;
                }
            } catch (StaleElementReferenceException) {
                // The page was redrawn meanwhile; look again.
            } catch (NoSuchElementException) {
                // It is not there yet.
            }
            if (hrtime(true) > $until) {
                self::fail($else . ' at ' . $this->path());
            }
            // Looking costs the browser as much as drawing: what has not come soon is looked for less often.
            usleep($wait);
            $wait = min(160_000, $wait + 15_000);
        }
    }

    /** @return list<string> errors that the console holds since it was last read */
    private function console(): array
    {
        $lines = [];
        foreach (self::$browser?->driver->manage()->getLog('browser') ?? [] as $entry) {
            if (is_array($entry) && ($entry['level'] ?? '') === 'SEVERE') {
                $lines[] = is_string($entry['message'] ?? null) ? $entry['message'] : '';
            }
        }

        return $lines;
    }
}
