<?php

declare(strict_types=1);

namespace App\Backup;

use App\Models\Photo;
use App\Models\Revision;
use Closure;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Throwable;

/** A database in a file beside the one that is worked with: looked through, never written to. */
final readonly class DatabaseFile
{
    private const NAME = 'backup';

    private function __construct(private Connection $connection) {}

    /**
     * @template T
     *
     * @param  Closure(self): T  $look
     * @return T
     */
    public static function open(string $path, Closure $look): mixed
    {
        config([
            'database.connections.' . self::NAME =>
                ['database' => $path, 'journal_mode' => null] + (array) config('database.connections.sqlite'),
        ]);
        try {
            return $look(new self(DB::connection(self::NAME)));
        } finally {
            DB::purge(self::NAME);
        }
    }

    /** @return list<string> */
    public function migrations(): array
    {
        return array_values(
            array_map(
                static fn(mixed $name): string => is_string($name) ? $name : '',
                $this->connection->table('migrations')->orderBy('id')->pluck('migration')->all(),
            ),
        );
    }

    /** @return array<string, int> rows by table */
    public function rows(): array
    {
        $rows = [];
        foreach (Schema::connection(self::NAME)->getTableListing(schemaQualified: false) as $table) {
            $rows[$table] = $this->connection->table($table)->count();
        }
        ksort($rows);

        return $rows;
    }

    /**
     * Looks whether everything in it can be read: the file's own structure, each revision's plan, each photo.
     *
     * @throws Refusal that names the first that cannot
     */
    public function check(): void
    {
        try {
            $found = $this->connection->scalar('pragma integrity_check');
            $loose = $this->connection->select('pragma foreign_key_check');
        } catch (Throwable) {
            throw new InvalidInput('The database in it is damaged: it cannot be opened.');
        }
        if ($found !== 'ok' || $loose !== []) {
            throw new InvalidInput(
                'The database in it is damaged: ' .
                    (is_string($found) && $found !== 'ok' ? $found : 'rows refer to missing rows') .
                    '.',
            );
        }
        foreach (Revision::on(self::NAME)->lazyById(50) as $revision) {
            try {
                $revision->plan();
            } catch (Throwable $e) {
                throw new InvalidInput(
                    "Revision {$revision->number} of job {$revision->job_id} cannot be read: {$e->getMessage()}",
                );
            }
        }
        foreach (Photo::on(self::NAME)->lazyById(20) as $photo) {
            if (@getimagesizefromstring($photo->image) === false) {
                throw new InvalidInput("Photo {$photo->id} of job {$photo->job_id} cannot be read.");
            }
        }
    }
}
