<?php

declare(strict_types=1);

namespace App\Licences;

use RuntimeException;

/** Packages and fonts that ship with the application, each with its licence. */
final readonly class Licences
{
    /** Licences under which something may ship (SPDX identifiers). */
    public const ALLOWED = [
        'MIT',
        'ISC',
        'BSD-2-Clause',
        'BSD-3-Clause',
        'Apache-2.0',
        'OFL-1.1',
        'LGPL-2.1',
        'LGPL-2.1-or-later',
        'LGPL-3.0-or-later',
    ];

    /** @return list<array{name: string, version: string, licence: string, text: string}> by name */
    public static function shipped(): array
    {
        $all = [...self::ofServer(), ...self::ofPage()];
        usort($all, static fn(array $a, array $b): int => [$a['name'], $a['version']] <=> [$b['name'], $b['version']]);

        return $all;
    }

    /** All their texts, to be kept with a copy of the application. */
    public static function texts(): string
    {
        $texts = [(string) file_get_contents(base_path('LICENSE'))];
        foreach (self::shipped() as $one) {
            $texts[] = "{$one['name']} {$one['version']}, {$one['licence']}\n\n{$one['text']}";
        }

        return implode("\n" . str_repeat('-', 72) . "\n\n", $texts);
    }

    /** @return list<array{name: string, version: string, licence: string, text: string}> */
    private static function ofServer(): array
    {
        $installed = self::json(base_path('vendor/composer/installed.json'));
        $tools = is_array($installed['dev-package-names'] ?? null) ? $installed['dev-package-names'] : [];
        $shipped = [];
        foreach (is_array($installed['packages'] ?? null) ? $installed['packages'] : [] as $package) {
            if (!is_array($package) || in_array($package['name'], $tools, true)) {
                continue;
            }
            $files = glob(base_path("vendor/{$package['name']}/[Ll][Ii][Cc][Ee][Nn][CcSs][Ee]*")) ?: [];
            $licences = is_array($package['license'] ?? null) ? $package['license'] : [];
            $shipped[] = [
                'name' => self::text($package['name']),
                'version' => self::text($package['version']),
                // Where there is a choice, one of those that are allowed is taken.
                'licence' => self::text(
                    array_values(array_intersect(self::ALLOWED, $licences))[0] ?? implode(' or ', $licences),
                ),
                'text' => $files === [] ? '' : (string) file_get_contents($files[0]),
            ];
        }

        return $shipped;
    }

    /** @return list<array{name: string, version: string, licence: string, text: string}> */
    private static function ofPage(): array
    {
        return array_values(
            array_map(
                static fn(mixed $p): array => [
                    'name' => self::text(is_array($p) ? $p['name'] : ''),
                    'version' => self::text(is_array($p) ? $p['version'] : ''),
                    'licence' => self::text(is_array($p) ? $p['licence'] : ''),
                    'text' => self::text(is_array($p) ? $p['text'] : ''),
                ],
                self::json(public_path('build/licences.json')),
            ),
        );
    }

    private static function text(mixed $value): string
    {
        return is_string($value) ? $value : '';
    }

    /** @return array<array-key, mixed> */
    private static function json(string $file): array
    {
        $read = json_decode((string) @file_get_contents($file), true);

        return is_array($read) ? $read : throw new RuntimeException("{$file} is not there: run bin/install.");
    }
}
