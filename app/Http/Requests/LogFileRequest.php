<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A log as a CSV file. */
final class LogFileRequest extends TextFileRequest
{
    protected function largest(): int
    {
        return 4_000_000;
    }

    protected function wants(): string
    {
        return 'a log as CSV';
    }
}
