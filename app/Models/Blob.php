<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use RuntimeException;

/**
 * Bytes that are kept as a real BLOB. Bound as a string they would become TEXT, which a dump of the database cuts off at
 * its first NUL.
 *
 * @implements CastsAttributes<string, string>
 */
final class Blob implements CastsAttributes
{
    public function get(Model $model, string $key, mixed $value, array $attributes): string
    {
        if (is_resource($value)) {
            rewind($value);
            $value = stream_get_contents($value);
        }
        if (!is_string($value)) {
            throw new RuntimeException("{$model->getTable()}.{$key} holds no bytes.");
        }

        return $value;
    }

    /** @return resource which the database driver binds as a BLOB */
    public function set(Model $model, string $key, mixed $value, array $attributes): mixed
    {
        $stream = fopen('php://memory', 'r+b') ?: throw new RuntimeException('There is no memory for a stream.');
        fwrite(
            $stream,
            is_string($value) ? $value : throw new RuntimeException("{$model->getTable()}.{$key} takes bytes."),
        );
        rewind($stream);

        return $stream;
    }
}
