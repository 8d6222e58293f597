<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Kit;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Kit\Control;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;

/** Zigbee controllers without a control: phones reach one through a hub only. */
final readonly class HubAsked extends Check
{
    public function rules(): array
    {
        return [
            new Rule(
                'no-hub',
                'controller',
                'every Zigbee controller has a control: a hub, or a remote or panel of its own',
                Rule::PRACTICE,
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $alone = self::uncontrolled($job->plan);
        if ($alone === []) {
            return [];
        }

        return [
            $this->rule('no-hub')->open(
                place: new FindingPlace(JobStage::Kit, 'hub'),
                title: 'No hub yet',
                detail: strtoupper(implode(', ', $alone)) .
                    (count($alone) === 1 ? ' has' : ' have') .
                    ' no control. Phones reach a Zigbee controller through a hub; a remote or a panel works without one.',
                source: '',
            ),
        ];
    }

    /** @return list<string> ids of Zigbee controllers and modules that nothing in the job controls, where it has no hub */
    public static function uncontrolled(Plan $plan): array
    {
        if ($plan->hubs !== [] || self::radio($plan)) {
            return [];
        }
        $roster = RosterOfPlan::for($plan, new TimingMethod());
        $controlled = array_column($roster->wants, 'light');

        return array_values(
            array_filter(
                array_keys($roster->units),
                static fn(string $id): bool => $plan->controlWay($id) === 'zigbee' && !in_array($id, $controlled, true),
            ),
        );
    }

    /** Whether an assistant or a server of the job has its own Zigbee radio: it is then the hub. */
    private static function radio(Plan $plan): bool
    {
        foreach ($plan->items as $item) {
            $control = $plan->kit[$item->kit]->entry;
            if (
                $control instanceof Control &&
                $control->beside()?->account === true &&
                in_array('zigbee', $control->speaks, true)
            ) {
                return true;
            }
        }

        return false;
    }
}
