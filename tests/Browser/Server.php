<?php

declare(strict_types=1);

namespace Tests\Browser;

use PDO;
use Symfony\Component\Process\Process;

/** The application on a free port with its own database, in demo mode with the demo jobs. */
final class Server
{
    /** Minutes: sessions are files, whose age the file system takes from its own clock, not from EMBER_NOW. */
    private const LASTING = '10000000';

    /** Initial data of every server with the same jobs: made once by a test process. */
    private const SAME = ['ember.sqlite', 'routes.php'];

    /** @var array<string, array<string, string>> the content of those files, by where the jobs come from */
    private static array $made = [];

    /** @param  array<string, string>  $env */
    private function __construct(
        public readonly string $url,
        private readonly Process $process,
        private readonly Process $worker,
        private readonly string $directory,
        private readonly array $env,
    ) {}

    /** @param  bool  $shipped  whether with the jobs that ship as demo data, not those of the tests */
    public static function start(bool $shipped = false): self
    {
        $root = dirname(__DIR__, 2);
        $directory = sys_get_temp_dir() . '/ember-server-' . bin2hex(random_bytes(6));
        mkdir($directory . '/storage/framework/cache/data', 0777, true);
        foreach (['views', 'sessions'] as $name) {
            mkdir("{$directory}/storage/framework/{$name}");
        }
        mkdir($directory . '/storage/logs');
        touch($directory . '/ember.sqlite');
        $port = Browser::freePort();
        $env = [
            'APP_ENV' => 'testing',
            'APP_KEY' => 'base64:' . base64_encode(random_bytes(32)),
            'APP_DEBUG' => 'false',
            'APP_URL' => "http://127.0.0.1:{$port}",
            'DB_DATABASE' => $directory . '/ember.sqlite',
            'EMBER_DEMO' => 'true',
            'EMBER_DEMO_JOBS' => $shipped ? "{$root}/database/demo" : "{$root}/core/tests/fixtures",
            'SESSION_DRIVER' => 'file',
            'CACHE_STORE' => 'file',
            'LARAVEL_STORAGE_PATH' => $directory . '/storage',
            'LOG_CHANNEL' => 'single',
            'EMBER_TIMEZONE' => Browser::zone(),
            'SESSION_LIFETIME' => self::LASTING,
            'PHP_CLI_SERVER_WORKERS' => '3',
            'PHP_INI_SCAN_DIR' => ":{$root}/config/server",
            'QUEUE_CONNECTION' => 'database',
            'APP_CONFIG_CACHE' => $directory . '/config.php',
            'APP_ROUTES_CACHE' => $directory . '/routes.php',
        ];
        $make = static fn(string ...$command): string => (new Process(['php', 'artisan', ...$command], $root, $env))
            ->mustRun()
            ->getOutput();
        if (!isset(self::$made[$env['EMBER_DEMO_JOBS']])) {
            $make('migrate', '--seed', '--force');
            $make('route:cache');
            foreach (self::SAME as $file) {
                self::$made[$env['EMBER_DEMO_JOBS']][$file] = (string) file_get_contents("{$directory}/{$file}");
            }
        }
        foreach (self::$made[$env['EMBER_DEMO_JOBS']] as $file => $text) {
            file_put_contents("{$directory}/{$file}", $text);
        }
        $make('config:cache');
        $process = Process::fromShellCommandline(
            "exec setsid php -S 127.0.0.1:{$port} " .
                '../vendor/laravel/framework/src/Illuminate/Foundation/resources/server.php',
            $root . '/public',
            $env,
            null,
            null,
        );
        // The output of the server is not read; a full pipe would stop it.
        $process->disableOutput();
        $process->start();
        $worker = new Process(['php', 'artisan', 'queue:work', '--sleep=0.1', '--quiet'], $root, $env, null, null);
        $worker->disableOutput();
        $worker->start();
        Browser::await($port);

        return new self(
            url: "http://127.0.0.1:{$port}",
            process: $process,
            worker: $worker,
            directory: $directory,
            env: $env,
        );
    }

    public function stop(): void
    {
        // The server's workers are its children: the entire group ends.
        posix_kill(-(int) $this->process->getPid(), SIGTERM);
        $this->process->stop(2);
        $this->worker->stop(2, SIGKILL);
        (new Process(['rm', '-rf', $this->directory]))->run();
    }

    /** Runs a command of the application on the server's own data. */
    public function artisan(string ...$arguments): void
    {
        (new Process(['php', 'artisan', ...$arguments], dirname(__DIR__, 2), $this->env))->mustRun();
    }

    /** Runs a script of the tests on the server's own data. */
    public function script(string ...$arguments): void
    {
        (new Process(['php', ...$arguments], dirname(__DIR__, 2), $this->env, null, 600))->mustRun();
    }

    /** @return list<string> the first column of what the server's database answers */
    public function query(string $sql): array
    {
        $pdo = new PDO(
            'sqlite:' . $this->directory . '/ember.sqlite',
            options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION],
        );
        $asked = $pdo->prepare($sql);
        $asked->execute();
        $rows = [];
        while (is_scalar($value = $asked->fetchColumn()) && $value !== false) {
            $rows[] = (string) $value;
        }

        return $rows;
    }

    public function log(): string
    {
        return (string) @file_get_contents($this->directory . '/storage/logs/laravel.log');
    }
}
