<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Kit\Profiles\ControllerProfile;
use EmberDusk\Kit\Profiles\HubProfile;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\IncompletePlan;
use EmberDusk\Values\Refusal;

/** The devices of a plan that are to be joined, with the behaviour in their leaflets. */
final readonly class Kit
{
    /**
     * @param  non-empty-array<string, ControllerProfile>  $controllers  by id
     * @param  array<string, string>  $names  what each controller is called on the sheet: the run that it lights
     */
    private function __construct(
        public string $hubId,
        public HubProfile $hub,
        public Family $family,
        public array $controllers,
        public array $names,
    ) {}

    /** @throws Refusal when hub or controllers are not chosen yet */
    public static function of(Plan $plan): self
    {
        $controllers = [];
        $names = [];
        $family = null;
        foreach (array_keys($plan->controllers) as $id) {
            $entry = $plan->controller($id);
            if ($entry?->profile !== null) {
                $controllers[$id] = $entry->profile;
                $family ??= $entry->family;
                $lit = array_filter($plan->runs, static fn(Run $r): bool => $r->controller === $id);
                $names[$id] = ($first = reset($lit)) === false ? '' : $first->name();
            }
        }
        $hubId = array_key_first($plan->hubs);
        $hub = $plan->hub($hubId);
        if ($hubId === null || $hub === null || $controllers === [] || $family === null) {
            throw IncompletePlan::at(
                '/kit',
                'Choose a controller and a hub at Kit first: their leaflets say how they join.',
            );
        }

        return new self(
            hubId: $hubId,
            hub: $hub->profile,
            family: Families::of($family),
            controllers: $controllers,
            names: $names,
        );
    }
}
