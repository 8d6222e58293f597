<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use EmberDusk\Kit\BatteryBlock;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\SurveyedBanks;
use EmberDusk\Survey\WallNotes;

/** The places in the chain of a run, in the order of the current: where there is a battery its bank, a converter and a switch too. */
final readonly class KitSlots
{
    private const MAINS = ['supply', 'controller', 'cable', 'strip'];

    private const BATTERY = ['bank', 'supply', 'switch', 'controller', 'cable', 'strip'];

    private const LABELS = ['bank' => 'Bank', 'switch' => 'In-line switch'];

    private function __construct(private Plan $plan, private Run $run) {}

    /** @return list<string> */
    public static function for(Plan $plan, Run $run): array
    {
        return (new self($plan, $run))->slots();
    }

    /** @return list<string> */
    private function slots(): array
    {
        if ($this->battery()) {
            return self::BATTERY;
        }

        return self::MAINS;
    }

    public static function label(Plan $plan, Run $run, string $slot): string
    {
        return (new self($plan, $run))->slotLabel($slot);
    }

    private function slotLabel(string $slot): string
    {
        if ($slot === 'supply' && $this->battery()) {
            return 'Converter';
        }

        if ($slot === 'controller' && $this->plan->strip($this->run->strip)?->pixels !== null) {
            return 'Pixel board';
        }

        return self::LABELS[$slot] ?? ucfirst($slot);
    }

    /** Whether a run is complete without it. */
    public static function optional(Plan $plan, Run $run, string $slot): bool
    {
        return (new self($plan, $run))->mayLack($slot);
    }

    private function mayLack(string $slot): bool
    {
        return $slot === 'switch' || ($slot === 'supply' && $this->bank() !== null);
    }

    /** The shelf id of the current entry. */
    public static function chosen(Plan $plan, Run $run, string $slot): ?string
    {
        return (new self($plan, $run))->taken($slot);
    }

    private function taken(string $slot): ?string
    {
        return match ($slot) {
            'strip' => $this->run->strip,
            'bank' => $this->plan->supplies[$this->bank() ?? '']->kit ?? null,
            'supply' => $this->plan->block($this->run->supply) === null
                ? $this->plan->supplies[$this->run->supply ?? '']->kit ?? null
                : null,
            'switch' => $this->plan->ways()->firstCable($this->run)?->switch,
            'controller' => $this->plan->controllers[$this->run->controller ?? '']->kit ?? null,
            // The way to the controller has two cores of it.
            default => $this->plan->ways()->cableTo($this->plan->ways()->feedsOf($this->run)[0]->id ?? '')->kit ??
                ($this->plan->ways()->firstCable($this->run)->kit ?? null),
        };
    }

    /** @return list<string> kinds of the shelf that go there */
    public static function kinds(Plan $plan, Run $run, string $slot): array
    {
        return (new self($plan, $run))->allowed($slot);
    }

    /** @return list<string> kinds of the shelf that go there */
    private function allowed(string $slot): array
    {
        return match (true) {
            $slot === 'strip' => ['strip', 'pixels'],
            $slot === 'bank' => ['battery'],
            $slot === 'supply' && $this->battery() => self::outlets($this->plan)
                ? ['converter', 'supply']
                : ['converter'],
            $slot === 'controller' && $this->plan->strip($this->run->strip)?->pixels !== null => ['board'],
            default => [$slot],
        };
    }

    /** The way back from a converter. */
    public static function straight(Plan $plan, Run $run): ?ShareOption
    {
        $bank = $plan->supplies[$run->supply ?? '']->bank ?? null;

        if ($bank === null) {
            return null;
        }

        return new ShareOption($bank, 'Straight on ' . strtoupper($bank) . ', without a converter');
    }

    /** The bank that feeds a run, through a converter or straight. */
    private function bank(): ?string
    {
        foreach ($this->plan->ways()->unitsOf($this->run) as $unit) {
            if ($this->plan->block($unit) instanceof BatteryBlock) {
                return $unit;
            }
        }

        return null;
    }

    private function battery(): bool
    {
        return $this->bank() !== null ||
            $this->plan->converter($this->run->supply) !== null ||
            SurveyedBanks::for($this->plan, $this->run) !== [];
    }

    private static function outlets(Plan $plan): bool
    {
        return array_filter(
            $plan->places,
            static fn(Place $p): bool => WallNotes::read($p->notes)->site->outlets !== [],
        ) !== [];
    }
}
