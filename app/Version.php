<?php

declare(strict_types=1);

namespace App;

/** The version of the application: the file VERSION, by semantic versioning. CHANGELOG.md says what each brought. */
final readonly class Version
{
    public static function text(): string
    {
        return trim((string) file_get_contents(base_path('VERSION')));
    }
}
