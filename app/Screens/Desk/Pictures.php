<?php

declare(strict_types=1);

namespace App\Screens\Desk;

use App\Screens\Stages;
use App\Screens\View;
use EmberDusk\Formats\Record\RecordsByKey;
use EmberDusk\Values\JobStage;
use ReflectionMethod;
use ReflectionNamedType;

/** The picture of the stage that is shown, under its key; null for the others. */
final readonly class Pictures implements RecordsByKey
{
    public function __construct(private JobStage $stage, private ?View $picture) {}

    /** Classes by stage, from their return types. */
    public static function classes(): array
    {
        $classes = [];
        foreach (Stages::all() as $stage) {
            $type = (new ReflectionMethod($stage, 'picture'))->getReturnType();
            if ($stage->page() !== null && $type instanceof ReflectionNamedType) {
                $classes[$stage->key()->value] = $type->getName();
            }
        }

        return $classes;
    }

    /** @param  array<string, string>  $known  hashes of rows that the page has, by id */
    public function without(array $known): self
    {
        return $this->picture instanceof HashedRows ? new self($this->stage, $this->picture->without($known)) : $this;
    }

    /** @return array<string, mixed> */
    public function write(): array
    {
        $written = array_fill_keys(Stages::shown(), null);
        if (array_key_exists($this->stage->value, $written)) {
            $written[$this->stage->value] = $this->picture?->write();
        }

        return $written;
    }
}
