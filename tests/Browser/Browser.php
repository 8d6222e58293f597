<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use RuntimeException;
use Symfony\Component\Process\Process;

/** A ChromeDriver of its own on a free port, with one headless Chromium whose page has exactly the size asked for. */
final class Browser
{
    private function __construct(public readonly RemoteWebDriver $driver, private readonly Process $chromeDriver, private readonly string $profile)
    {
    }

    public static function start(int $width = 1280, int $height = 800): self
    {
        $port = self::freePort();
        $chromeDriver = new Process(['chromedriver', "--port={$port}", '--log-level=WARNING']);
        $chromeDriver->disableOutput();
        $chromeDriver->start();
        self::await($port);
        $profile = sys_get_temp_dir().'/ember-chromium-'.bin2hex(random_bytes(6));
        $options = (new ChromeOptions)->setBinary('/usr/bin/chromium')->addArguments(['--headless=new', '--no-sandbox', '--disable-gpu', '--disable-quic',
            '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--disable-dev-shm-usage', "--user-data-dir={$profile}"]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);
        $browser = new self(RemoteWebDriver::create("http://127.0.0.1:{$port}", $capabilities, 60_000, 60_000), $chromeDriver, $profile);
        $browser->size($width, $height);

        return $browser;
    }

    public function size(int $width, int $height): void
    {
        (new ChromeDevToolsDriver($this->driver))->execute('Emulation.setDeviceMetricsOverride',
            ['width' => $width, 'height' => $height, 'deviceScaleFactor' => 1, 'mobile' => $width < 600]);
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
    public static function await(int $port, float $seconds = 20): void
    {
        $until = microtime(true) + $seconds;
        while (($socket = @stream_socket_client("tcp://127.0.0.1:{$port}", timeout: 1)) === false) {
            if (microtime(true) > $until) {
                throw new RuntimeException("Nothing listens on port {$port}.");
            }
            usleep(30_000);
        }
        fclose($socket);
    }
}
