<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Formats\Json;
use EmberDusk\Formats\Schema;
use EmberDusk\Kit\Shelf;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;

/** The job file: JSON by core/schema/job.json, every older version read, a newer one refused by name. */
final readonly class JobFile
{
    /** @throws Refusal with a JSON Pointer and the expected value */
    public static function read(string $text): Plan
    {
        $document = Json::object($text);
        if (($document->format ?? null) !== Document::FORMAT) {
            throw InvalidInput::at('/format', 'This is not a job file: “' . Document::FORMAT . '” was expected.');
        }
        $version = $document->version ?? null;
        if (!is_int($version) || $version < 1) {
            throw InvalidInput::at('/version', 'A whole number from 1 was expected.');
        }
        if ($version > Document::VERSION) {
            throw InvalidInput::at(
                '/version',
                "The file has version {$version}; this program reads up to " .
                    Document::VERSION .
                    '. Update it, then import again.',
            );
        }
        Schema::check($document, $version === Document::VERSION ? 'job' : "job-v{$version}");
        $plan = Plan::read(new Fields(Upgrades::newest(Shelf::plain($document))));
        Invariants::check($plan);

        return $plan->with();
    }

    public static function write(Plan $plan): string
    {
        return Json::pretty(Document::write($plan));
    }

    /** A plan from a document that this program wrote itself: no schema, the invariants hold. */
    public static function own(string $text): Plan
    {
        return Plan::read(new Fields(Upgrades::newest(Shelf::plain(Json::own($text)))));
    }
}
