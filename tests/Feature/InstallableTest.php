<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\TestCase;

/** What a phone needs to put the application on its screen: a manifest that every page links, and icons of the stated sizes. */
final class InstallableTest extends TestCase
{
    public function test_every_page_links_a_manifest_whose_icons_are_there(): void
    {
        self::assertStringContainsString(
            '<link rel="manifest" href="/manifest.json">',
            (string) $this->get('/sign-in')->assertOk()->getContent(),
        );
        /** @var array{name: string, start_url: string, display: string, icons: list<array{src: string, sizes: string, type: string}>} $manifest */
        $manifest = json_decode((string) file_get_contents(public_path('manifest.json')), true, 8, JSON_THROW_ON_ERROR);
        self::assertSame(
            ['Ember Dusk', '/', 'standalone'],
            [$manifest['name'], $manifest['start_url'], $manifest['display']],
        );
        $sizes = [];
        foreach ($manifest['icons'] as $icon) {
            $file = public_path(ltrim($icon['src'], '/'));
            self::assertFileExists($file);
            if ($icon['type'] === 'image/png') {
                [$width, $height, $kind] = getimagesize($file) ?: [0, 0, 0];
                self::assertSame([$icon['sizes'], IMAGETYPE_PNG], ["{$width}x{$height}", $kind]);
                $sizes[] = $width;
            }
        }
        self::assertSame([192, 512], $sizes);
    }
}
