<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Profiles\Behaviour;

/** A hub with its phone app: how it searches, finds and names. */
final readonly class Hub implements Entry
{
    /**
     * @param  list<string>  $speaks  ways of control
     * @param  list<string>  $sets  kinds of light that its app can set
     * @param  int|null  $lights  that it holds at most; null where its instructions do not say
     */
    public function __construct(
        private string $id,
        private string $name,
        public Behaviour $profile,
        public array $speaks,
        public array $sets,
        public ?int $lights = null,
    ) {}

    public static function read(Fields $f): self
    {
        return new self(
            id: $f->string('id'),
            name: $f->string('name'),
            profile: Behaviour::read($f->object('profile')),
            speaks: $f->stringsOr('speaks', ['zigbee']),
            sets: $f->stringsOr('sets', ['single', 'tunable', 'rgb', 'rgbw', 'rgbcct']),
            lights: $f->wholeOrNull('lights', 1, 1000),
        );
    }

    public function id(): string
    {
        return $this->id;
    }

    public function name(): string
    {
        return $this->name;
    }
}
