<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Runs;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Light;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;

/** Names a joined light and puts it in a room, or names a segment; the hub's limit of letters and the other lights' names are checked. */
final readonly class NameLight extends Change
{
    /** Letters where no hub says how many it takes. */
    private const LETTERS = 32;

    private function __construct(private string $controller, private string $name, private string $room) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self(
            $f->string('controller'),
            trim(preg_replace('/\s+/u', ' ', $f->string('name', 200)) ?? ''),
            trim($f->string('room', 200)),
        );
    }

    public static function payload(string $controller, string $name, string $room): ChangePayload
    {
        return ChangePayload::named('NameLight', controller: $controller, name: $name, room: $room);
    }

    protected function changed(Plan $plan): Plan
    {
        $segment = $plan->segments[$this->controller] ?? null;
        if ($segment === null && !isset($plan->lightUnits()[$this->controller])) {
            throw InvalidInput::unknown('/controller', 'controller', $this->controller);
        }
        $most = (int) ($plan->hub(array_key_first($plan->hubs))?->profile->figure('letters') ?? self::LETTERS);
        foreach (['name' => $this->name] + ($segment === null ? ['room' => $this->room] : []) as $field => $text) {
            $letters = mb_strlen($text);
            if ($letters === 0) {
                throw InvalidInput::at(
                    "/{$field}",
                    $field === 'name' ? 'Type the name for voice control.' : 'Type the room that the light is in.',
                );
            }
            if ($letters > $most) {
                throw InvalidInput::at(
                    "/{$field}",
                    "“{$text}” has {$letters} letters; the hub’s app takes {$most}. Shorten it by " .
                        ($letters - $most) .
                        '.',
                );
            }
        }
        foreach ($plan->lights as $light) {
            if ($light->id !== $this->controller && mb_strtolower($light->name) === mb_strtolower($this->name)) {
                throw InvalidInput::at(
                    '/name',
                    "“{$light->name}” is taken by " .
                        strtoupper($light->id) .
                        '. Two lights of one name cannot be told apart by voice.',
                );
            }
        }
        if (mb_strtolower($this->name) === mb_strtolower($this->room)) {
            throw InvalidInput::at(
                '/name',
                'Room and light have the same name: a voice command would mean both. Add a word, such as “cove”.',
            );
        }

        if ($segment !== null) {
            return $plan->put('segments', $segment->id, $segment->named($this->name));
        }

        return $plan->put('lights', $this->controller, new Light($this->controller, $this->name, $this->room));
    }

    public function words(Plan $plan): string
    {
        return strtoupper($this->controller) . " named “{$this->name}” in {$this->room}";
    }
}
