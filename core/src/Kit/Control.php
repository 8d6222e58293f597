<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Profiles\Behaviour;

/** A control for lights: remote, panel, bridge, assistant, phone or server; its radios and the light types that it can set. */
final readonly class Control implements Entry
{
    /**
     * @param  list<string>  $speaks  ways of control
     * @param  list<string>  $sets  kinds of light
     * @param  Behaviour  $profile  how it resets, joins, links and searches, as far as its instructions are typed
     * @param  int  $zones  0 where it has none
     */
    public function __construct(
        private string $id,
        private string $name,
        public string $kind,
        public array $speaks,
        public array $sets,
        public bool $readsHub,
        public bool $mains = false,
        public Behaviour $profile = new Behaviour(),
        public int $zones = 0,
        public ?int $lights = null,
    ) {}

    public static function read(Fields $f): self
    {
        return new self(
            id: $f->string('id'),
            name: $f->string('name'),
            kind: $f->string('kind'),
            speaks: $f->strings('speaks'),
            sets: $f->strings('sets'),
            readsHub: $f->has('readsHub') && $f->flag('readsHub'),
            mains: $f->has('mains') && $f->flag('mains'),
            profile: $f->maybe('profile', Behaviour::read(...)) ?? new Behaviour(),
            zones: $f->wholeOrNull('zones', 1, 99) ?? 0,
            lights: $f->wholeOrNull('lights', 1, 1000),
        );
    }

    /** Its kind among the kit beside the runs. */
    public function beside(): ?Beside
    {
        return Kinds::get($this->kind)?->beside;
    }

    public function onCell(): bool
    {
        return $this->beside()?->onCell($this->mains) === true;
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
