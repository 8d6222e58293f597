<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Kit;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Kit\Control;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\FindingPlace;

/** Phones reach a Zigbee controller through a hub; a job without one needs none. */
final readonly class HubAsked extends Check
{
    public function rules(): array
    {
        return [
            new Rule('no-hub', 'controller', 'the job has a hub if phones control Zigbee controllers', Rule::PRACTICE),
        ];
    }

    public function check(JudgedJob $job): array
    {
        if ($job->plan->hubs !== [] || self::radio($job->plan)) {
            return [];
        }
        foreach (array_keys($job->plan->controllers) as $id) {
            $controller = $job->plan->controller($id);
            if ($controller !== null && $controller->family === 'zigbee' && !$controller->repeats) {
                return [
                    $this->rule('no-hub')->open(
                        place: new FindingPlace('kit', 'hub'),
                        title: 'No hub yet',
                        detail: 'Phones reach a Zigbee controller through a hub.',
                        source: '',
                    ),
                ];
            }
        }

        return [];
    }

    /** Whether an assistant or a server of the job has its own Zigbee radio: it is then the hub. */
    private static function radio(Plan $plan): bool
    {
        foreach ($plan->items as $item) {
            $control = $plan->kit[$item->kit]->entry;
            if (
                $control instanceof Control &&
                in_array($control->kind, ['assistant', 'server'], true) &&
                in_array('zigbee', $control->speaks, true)
            ) {
                return true;
            }
        }

        return false;
    }
}
