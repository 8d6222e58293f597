<?php

declare(strict_types=1);

namespace App\Results;

use FilesystemIterator;
use Illuminate\Cache\FileStore;
use Illuminate\Contracts\Cache\Repository;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;
use Throwable;

/** Recomputable results, cached by fingerprint. The store has a size limit: the oldest entries go first. */
final readonly class ResultStore
{
    private const DAY = 86_400;

    /** One in so many writes looks whether the store has grown too large. */
    private const LOTTERY = 100;

    /** Share of the size that is left after a look. */
    private const LEFT = 0.75;

    /** Length of the hash prefix that detects truncated or damaged files. */
    private const HASH = 32;

    /** @param  int  $size  bytes */
    public function __construct(private Repository $cache, private int $size) {}

    /** Null if missing or damaged: it is calculated again. */
    public function get(string $key): mixed
    {
        try {
            $kept = $this->cache->get($key);
            if (!is_string($kept) || !str_starts_with($kept, self::hash(substr($kept, self::HASH)))) {
                return null;
            }

            return unserialize(substr($kept, self::HASH));
        } catch (Throwable) {
            return null;
        }
    }

    public function put(string $key, mixed $value): void
    {
        $bytes = serialize($value);
        $this->cache->put($key, self::hash($bytes) . $bytes, self::DAY);
        if (random_int(1, self::LOTTERY) === 1) {
            $this->prune();
        }
    }

    private static function hash(string $bytes): string
    {
        return hash('xxh128', $bytes);
    }

    /** @return int bytes that are kept afterwards */
    public function prune(): int
    {
        $store = $this->cache->getStore();
        if (!($store instanceof FileStore) || !is_dir($store->getDirectory())) {
            return 0;
        }
        $files = [];
        /** @var SplFileInfo $file */
        foreach (
            new RecursiveIteratorIterator(
                new RecursiveDirectoryIterator($store->getDirectory(), FilesystemIterator::SKIP_DOTS),
            )
            as $file
        ) {
            // Another process may have taken it away meanwhile.
            $stat = $file->isFile() ? @stat($file->getPathname()) : false;
            if ($stat !== false) {
                $files[$file->getPathname()] = [$stat['mtime'], $stat['size']];
            }
        }
        $total = array_sum(array_column($files, 1));
        if ($total <= $this->size) {
            return $total;
        }
        asort($files);
        foreach ($files as $path => [, $bytes]) {
            if ($total <= self::LEFT * $this->size) {
                break;
            }
            @unlink($path);
            $total -= $bytes;
        }

        return $total;
    }
}
