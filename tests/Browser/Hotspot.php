<?php

declare(strict_types=1);

namespace Tests\Browser;

use Symfony\Component\Process\Process;

/** Stands between browser and server as a guest network does. */
final class Hotspot
{
    private function __construct(
        public readonly string $url,
        private readonly Process $process,
        private readonly string $mode,
    ) {}

    public static function before(string $server): self
    {
        $port = Browser::freePort();
        $mode = (string) tempnam(sys_get_temp_dir(), 'ember-hotspot');
        file_put_contents($mode, 'relay');
        $process = Process::fromShellCommandline(
            "exec setsid php -S 127.0.0.1:{$port} " . escapeshellarg(__DIR__ . '/hotspot.php'),
            null,
            ['HOTSPOT_MODE' => $mode, 'HOTSPOT_SERVER' => $server, 'PHP_CLI_SERVER_WORKERS' => '3'],
            null,
            null,
        );
        $process->disableOutput();
        $process->start();
        Browser::await($port);

        return new self("http://127.0.0.1:{$port}", $process, $mode);
    }

    /** @param  'relay'|'sign-in'|'gateway'|'cut'  $mode */
    public function does(string $mode): void
    {
        file_put_contents($this->mode, $mode);
    }

    public function stop(): void
    {
        posix_kill(-(int) $this->process->getPid(), SIGTERM);
        $this->process->stop(2);
        unlink($this->mode);
    }
}
