<?php

declare(strict_types=1);

namespace Tests\Browser;

use DateTimeImmutable;
use DateTimeZone;
use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use RuntimeException;
use Symfony\Component\Process\Process;

/** A ChromeDriver of its own on a free port, with one headless Chromium whose page has exactly the size asked for. */
final class Browser
{
    private ?string $script = null;

    /** Takes the place of the page's Date: real time goes on, from where EMBER_NOW put it. */
    private const SHIFTED =
        '(() => { const by = %d, Real = Date; globalThis.Date = class Date extends Real { constructor(...of) ' .
        '{ if (of.length) { super(...of); } else { super(Real.now() + by); } } static now() { return ' .
        'Real.now() + by; } }; })();';

    /** Counts what the page has asked and not yet heard, so that a hand can wait for it. */
    private const COUNTED =
        '(() => { let open = 0; const over = () => setTimeout(() => open--, 20); window.unheard = () => open; const ask = ' .
        'window.fetch; window.fetch = (...of) => { open++; return ask(...of).then((said) => { said.clone().text()' .
        '.then(over, over); return said; }, (error) => { over(); throw error; }); }; const send = XMLHttpRequest' .
        '.prototype.send; XMLHttpRequest.prototype.send = function (...of) { open++; this.addEventListener("loadend", ' .
        'over); return send.apply(this, of); }; })();';

    private function __construct(
        public readonly RemoteWebDriver $driver,
        private readonly Process $chromeDriver,
        private readonly string $profile,
    ) {}

    public static function start(int $width = 1280, int $height = 800): self
    {
        $port = self::freePort();
        $chromeDriver = new Process(['chromedriver', "--port={$port}", '--log-level=WARNING']);
        $chromeDriver->disableOutput();
        $chromeDriver->start();
        self::await($port);
        $profile = sys_get_temp_dir() . '/ember-chromium-' . bin2hex(random_bytes(6));
        $options = (new ChromeOptions())
            ->setBinary(__DIR__ . '/chromium')
            ->addArguments([
                '--no-sandbox',
                '--disable-gpu',
                '--disable-quic',
                '--no-first-run',
                '--disable-background-networking',
                '--disable-component-update',
                '--disable-sync',
                '--disable-dev-shm-usage',
                "--user-data-dir={$profile}",
            ]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);
        $browser = new self(
            RemoteWebDriver::create("http://127.0.0.1:{$port}", $capabilities, 60_000, 60_000),
            $chromeDriver,
            $profile,
        );
        $browser->size($width, $height);
        $browser->clock(0);

        return $browser;
    }

    /** In which browser and server live: one in which clocks change twice a year. */
    public static function zone(): string
    {
        return getenv('EMBER_TIMEZONE') ?: 'EST5EDT';
    }

    public function size(int $width, int $height): void
    {
        (new ChromeDevToolsDriver($this->driver))->execute('Emulation.setDeviceMetricsOverride', [
            'width' => $width,
            'height' => $height,
            'deviceScaleFactor' => 1,
            'mobile' => $width < 600,
        ]);
    }

    /** Sets the page's clock, as an offset in seconds from the server's. Applies to pages opened from now on. */
    public function clock(int $seconds): void
    {
        $tools = new ChromeDevToolsDriver($this->driver);
        $tools->execute('Emulation.setTimezoneOverride', ['timezoneId' => self::zone()]);
        if ($this->script !== null) {
            $tools->execute('Page.removeScriptToEvaluateOnNewDocument', ['identifier' => $this->script]);
        }
        $tools->execute('Page.enable');
        $said = $tools->execute('Page.addScriptToEvaluateOnNewDocument', [
            'source' => sprintf(self::SHIFTED, 1000 * $seconds + (int) round(1000 * self::offset())) . self::COUNTED,
        ]);
        $this->script = is_string($said['identifier'] ?? null) ? $said['identifier'] : null;
    }

    /** The day that it is for the application, and so many days later. */
    public static function day(int $later = 0): string
    {
        return (new DateTimeImmutable('@' . (int) round(microtime(true) + self::offset())))
            ->setTimezone(new DateTimeZone(self::zone()))
            ->modify("{$later} days")
            ->format('Y-m-d');
    }

    /** Seconds by which EMBER_NOW is ahead of the machine's clock. */
    private static function offset(): float
    {
        $now = (string) getenv('EMBER_NOW');
        if ($now === '') {
            return 0.0;
        }

        return (float) (new DateTimeImmutable($now))->format('U.u') - (float) getenv('EMBER_NOW_SINCE');
    }

    /** Cuts the page off from the server, or connects it. A page that is cut off is so when this returns: the network hears of it later. */
    public function offline(bool $is): void
    {
        $tools = new ChromeDevToolsDriver($this->driver);
        $tools->execute('Network.enable');
        $tools->execute('Network.emulateNetworkConditions', [
            'offline' => $is,
            'latency' => 0,
            'downloadThroughput' => -1,
            'uploadThroughput' => -1,
        ]);
        $until = hrtime(true) + 30e9;
        while ($is && $this->reaches()) {
            if (hrtime(true) > $until) {
                throw new RuntimeException('The page is not cut off.');
            }
            usleep(50_000);
        }
    }

    private function reaches(): bool
    {
        return $this->driver->executeAsyncScript(
            'fetch("/time", { cache: "no-store" }).then(() => arguments[0](true), () => arguments[0](false))',
        ) === true;
    }

    public function stop(): void
    {
        $this->driver->quit();
        $this->chromeDriver->stop(2);
        (new Process(['rm', '-rf', $this->profile]))->run();
    }

    public static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('No free port.');
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr((string) strrchr($name, ':'), 1);
    }

    /** Waits until something listens on a port. */
    public static function await(int $port, float $seconds = 90): void
    {
        $until = hrtime(true) + 1e9 * $seconds;
        while (($socket = @stream_socket_client("tcp://127.0.0.1:{$port}", timeout: 1)) === false) {
            if (hrtime(true) > $until) {
                throw new RuntimeException("Nothing listens on port {$port}.");
            }
            usleep(30_000);
        }
        fclose($socket);
    }
}
