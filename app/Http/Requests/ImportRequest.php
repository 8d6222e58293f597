<?php

declare(strict_types=1);

namespace App\Http\Requests;

use EmberDusk\Formats\Json;

/** A job file. */
final class ImportRequest extends TextFileRequest
{
    protected function largest(): int
    {
        return Json::LARGEST;
    }

    protected function wants(): string
    {
        return 'a job file';
    }
}
