<?php

declare(strict_types=1);

namespace App\Screens\Wire;

/** Leaves out of a screen the runs that the page that asks has already; in which order all stand is told beside them. */
final readonly class Known
{
    /**
     * @param  array<string, mixed>  $desk  as in app/Screens/screen.json, $defs/desk
     * @param  array<string, string>  $known  hashes by run
     * @return array<string, mixed>
     */
    public static function without(array $desk, array $known): array
    {
        if ($known === [] || !is_array($desk['wire'] ?? null) || !is_array($desk['wire']['runs'] ?? null)) {
            return $desk;
        }
        $desk['wire']['runs'] = array_values(
            array_filter(
                $desk['wire']['runs'],
                static fn(mixed $r): bool => !is_array($r) ||
                    !is_string($r['id']) ||
                    ($known[$r['id']] ?? null) !== $r['hash'],
            ),
        );

        return $desk;
    }
}
