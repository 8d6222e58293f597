<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/** Controls that form a network with what they link to, and the lights that such controls have in common: all of them are one network. */
final readonly class LinkGroup
{
    /** Whether a control forms a network where no hub has made one. */
    public static function forms(Unit $control): bool
    {
        return Families::say($control, FamilyFact::FormsNetwork);
    }

    /** @return list<string> lights of a control, and those of every other that shares one with it */
    public static function lights(string $control, Roster $roster): array
    {
        $controls = [$control => true];
        $lights = [];
        do {
            $before = count($controls) + count($lights);
            foreach ($roster->wants as $want) {
                $shares = isset($controls[$want->control]) || isset($lights[$want->light]);
                if ($shares && self::forms($roster->unit($want->control))) {
                    $controls[$want->control] = $lights[$want->light] = true;
                }
            }
        } while (count($controls) + count($lights) > $before);

        return array_map(strval(...), array_keys($lights));
    }

    /** The hub whose network a control is to be in: one that works a light of its group. */
    public static function hub(Unit $control, Roster $roster): ?Unit
    {
        $lights = self::lights($control->id, $roster);
        foreach ($roster->inRole(Unit::HUB) as $hub) {
            foreach ($lights as $light) {
                if ($roster->wants($hub->id, $light)) {
                    return $hub;
                }
            }
        }

        return null;
    }
}
