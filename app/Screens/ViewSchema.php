<?php

declare(strict_types=1);

namespace App\Screens;

use EmberDusk\Formats\Json;
use EmberDusk\Formats\Record\RecordSchema;

/** The JSON Schema of all views; bin/schemas writes it to app/Screens/views.json, which is not committed. */
final readonly class ViewSchema
{
    public static function text(): string
    {
        $schema = new RecordSchema();
        foreach (glob(__DIR__ . '/*/*.php') ?: [] as $file) {
            $class = __NAMESPACE__ . '\\' . basename(dirname($file)) . '\\' . basename($file, '.php');
            if (is_subclass_of($class, View::class)) {
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
