<?php

declare(strict_types=1);

namespace App\Screens;

use EmberDusk\Formats\Json;
use EmberDusk\Formats\Record\RecordSchema;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Finding;

/** The JSON Schema of all views; bin/schemas writes it to app/Screens/views.json, which is not committed. */
final readonly class ViewSchema
{
    /** Values of the core that write more than their fields. */
    private const ELSEWHERE = [
        Figure::class => 'screen.json#/$defs/figure',
        Finding::class => 'screen.json#/$defs/finding',
        ChangePayload::class => 'screen.json#/$defs/change',
    ];

    public static function text(): string
    {
        $schema = new RecordSchema(self::ELSEWHERE);
        foreach (glob(__DIR__ . '/*/*.php') ?: [] as $file) {
            $class = __NAMESPACE__ . '\\' . basename(dirname($file)) . '\\' . basename($file, '.php');
            if (class_exists($class) && is_subclass_of($class, View::class)) {
                $schema->reference($class);
            }
        }

        return Json::pretty([
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            '$id' => 'https://ember-dusk.invalid/screens/views.json',
            'title' => 'Views',
            'description' => 'Data that pages are sent, made by bin/schemas from the classes of app/Screens.',
            '$defs' => $schema->definitions(),
        ]);
    }
}
