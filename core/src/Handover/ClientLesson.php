<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\LightNames;
use EmberDusk\Plan\Plan;

/** The instruction given with the client's card: topics to show, by the key of their tick. */
final readonly class ClientLesson
{
    /** @return array<string, string> topics by key */
    public static function for(Plan $plan, Roster $roster): array
    {
        $used = array_filter($roster->units, static fn(Unit $u): bool => $roster->wantsOf($u->id) !== []);
        $has = static fn(string ...$roles): bool => array_filter(
            $used,
            static fn(Unit $u): bool => in_array($u->role, $roles, true),
        ) !== [];
        $keeps = array_filter($used, static fn(Unit $u): bool => $u->leaflet->figure('presets') !== null);
        $first = (new LightNames($plan))->of(
            (string) (array_key_first($plan->lights) ?? array_key_first($plan->controllers)),
        );

        $says = $has(Unit::ASSISTANT) ? "Voice commands: “{$first} on”, “{$first} 30 percent”" : '';
        $scenes = '';
        if ($plan->scenes !== []) {
            $scenes =
                'How each scene is started: ' .
                implode(', ', array_map(static fn($s): string => $s->name, $plan->scenes));
        }
        $accounts = '';
        if ($has(Unit::HUB, Unit::BRIDGE, Unit::ASSISTANT)) {
            $accounts =
                'Accounts belong to the client; the installer’s access is removed, and this is shown to the client';
        }

        return array_filter([
            'dims' => $has(Unit::REMOTE, Unit::PANEL) ? 'Which key dims, which zone is which light' : '',
            'stores' => $keeps === [] ? '' : 'How a preset is stored and called',
            'says' => $says,
            'scenes' => $scenes,
            'starts' => $plan->triggers === [] ? '' : 'Automation, and how to stop it',
            'down' => 'What still works when the network or the hub is down',
            'cut' => 'Where the supplies are switched off, and where they hide',
            'reset' => 'Where the cards to reset and the guide for a lost phone are',
            'accounts' => $accounts,
        ]);
    }
}
