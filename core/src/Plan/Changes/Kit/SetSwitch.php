<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Kit;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;

/** Says which kind of light a controller's switch or jumper is set to, or which dimming method a module's. */
final readonly class SetSwitch extends Change
{
    private function __construct(private string $controller, private string $setting) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self($f->string('controller'), $f->string('setting', 20));
    }

    public static function payload(string $controller, string $setting): ChangePayload
    {
        return ChangePayload::named('SetSwitch', controller: $controller, setting: $setting);
    }

    protected function changed(Plan $plan): Plan
    {
        $list = isset($plan->modules[$this->controller]) ? 'modules' : 'controllers';
        $device =
            $plan->{$list}[$this->controller] ??
            throw InvalidInput::unknown('/controller', 'controller', $this->controller);
        $modes = $plan->module($device->id)?->methods() ?? ($plan->controller($device->id)->modes ?? []);
        if (!in_array($this->setting, $modes, true)) {
            throw InvalidInput::at(
                '/setting',
                strtoupper($device->id) . ' can be set to ' . implode(', ', $modes) . '.',
            );
        }

        return $plan->put($list, $device->id, $device->set($this->setting));
    }

    public function words(Plan $plan): string
    {
        return strtoupper($this->controller) . " set to {$this->setting}";
    }
}
