<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Checks\Protection\Guard;
use EmberDusk\Checks\Supply\Headroom;
use EmberDusk\Kit\Bank;
use EmberDusk\Kit\BatteryBlock;
use EmberDusk\Kit\Converter;
use EmberDusk\Kit\Fuse;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\SurveyedBanks;
use EmberDusk\Survey\Site\Battery;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Values\NoSolution;
use EmberDusk\Values\Refusal;

/** Power of an option: a supply on mains, else the surveyed bank, by a tap or through a converter. */
final readonly class OptionPower
{
    /** Of a bank's nominal volts that it reaches on charge, and what resistor-limited strip then takes (common practice, no source). */
    private const CHARGING = 1.35;

    private function __construct(
        public KitSnapshot $supply,
        public ?KitSnapshot $bank,
        public ?KitSnapshot $fuse,
        public float $overload,
        public ?Battery $battery = null,
    ) {}

    /** The block of a bank that is there already, and so is not bought; null where it is bought. */
    public function fitted(): ?KitSnapshot
    {
        return $this->battery?->fitted === true ? $this->bank ?? $this->supply : null;
    }

    /**
     * @param  float  $watts  that the supply is sized for
     *
     * @throws Refusal naming the kind that the shelf lacks
     */
    public static function for(
        Plan $plan,
        Run $run,
        float $volts,
        float $watts,
        ShelfSource $shelf,
        Choice $choice,
    ): self {
        $bank = self::bank($plan, $run);
        if ($bank !== null) {
            return self::battery($plan, $bank, $volts, $watts, $shelf, $choice);
        }
        $supply =
            $choice->least(
                $shelf->ofKind('supply'),
                Supply::class,
                static fn(Supply $s): bool => abs($s->volts - $volts) < 0.5 && Headroom::enough($plan, $s, $watts),
            ) ??
            throw new NoSolution(
                sprintf('No %g V supply on the shelf is rated for %.0f W.', $volts, $plan->limits->rating($watts)),
                '',
                [
                    'kind' => 'supply',
                    'volts' => sprintf('%g', $volts),
                    'ratedAmps' => sprintf('%.1f', $plan->limits->rating($watts) / $volts),
                ],
            );

        return new self($supply, null, null, $supply->entry instanceof Supply ? $supply->entry->overloadAmps : 0.0);
    }

    /** The battery that a run is fed from where it is without mains. */
    private static function bank(Plan $plan, Run $run): ?Battery
    {
        $mains = WallNotes::read($plan->places[$run->place]->notes ?? '')->site->outlets !== [];

        return $mains ? null : SurveyedBanks::for($plan, $run)[0][1] ?? null;
    }

    /** Volts at which a run is fed at most: of a bank's tap those on charge. */
    public static function highest(Plan $plan, Run $run, float $volts): float
    {
        $battery = self::bank($plan, $run);
        if ($battery === null) {
            return $volts;
        }
        $bank = new Bank($battery->wanting($volts));

        return $bank->tap === null ? $volts : $bank->volts($bank->tap)->charging;
    }

    private static function battery(
        Plan $plan,
        Battery $battery,
        float $volts,
        float $watts,
        ShelfSource $shelf,
        Choice $choice,
    ): self {
        $bank = new Bank($battery->wanting($volts));
        $block =
            $choice->least(
                $shelf->ofKind('battery'),
                BatteryBlock::class,
                static fn(BatteryBlock $b): bool => abs($b->volts - $battery->blockVolts) < 1e-9,
                // Of one that is there already the kind that is most like it.
                static fn(BatteryBlock $b): array => $battery->fitted && $battery->ampHours !== null
                    ? [abs($b->ampHours - $battery->ampHours)]
                    : [],
            ) ??
            throw new NoSolution(
                sprintf('No block of %g V is on the shelf, as the bank has.', $battery->blockVolts),
                '',
                ['kind' => 'battery', 'volts' => sprintf('%g', $battery->blockVolts)],
            );
        if ($bank->tap !== null) {
            $fuse = self::tapFuse(
                $shelf,
                $choice,
                (self::CHARGING * $watts) / $volts,
                $bank->volts($bank->tap)->charging,
            );

            return new self($block, null, $fuse, self::amps($fuse), $battery);
        }
        [$lowest, $charging] = [$bank->volts()->lowest, $bank->volts()->charging];
        $converter =
            $choice->least(
                $shelf->ofKind('converter'),
                Converter::class,
                static fn(Converter $c): bool => $bank->suits($c) && Headroom::enough($plan, $c->supply(1, 1), $watts),
            ) ??
            throw new NoSolution(
                sprintf(
                    'No converter on the shelf takes %.1f to %.1f V and gives %g V for %.0f W.',
                    $lowest,
                    $charging,
                    $volts,
                    $plan->limits->rating($watts),
                ),
                '',
                [
                    'kind' => 'converter',
                    'inputLeast' => sprintf('%.1f', floor($lowest)),
                    'inputMost' => sprintf('%.1f', ceil($charging)),
                    'volts' => sprintf('%g', $volts),
                    'ratedAmps' => sprintf('%.1f', $plan->limits->rating($watts) / $volts),
                ],
            );
        $entry = $converter->entry;
        $efficiency = $entry instanceof Converter ? $entry->efficiency : 1.0;
        $fuse = self::tapFuse($shelf, $choice, $watts / $efficiency / $lowest, $charging);

        return new self(
            $converter,
            $block,
            $fuse,
            max(self::amps($fuse), $entry instanceof Converter ? $entry->supply(1, 1)->overloadAmps : 0.0),
            $battery,
        );
    }

    /** The smallest that carries so many amps permanently and breaks so many volts; null where the shelf has none. */
    public static function fuse(ShelfSource $shelf, Choice $choice, float $amps, float $volts): ?KitSnapshot
    {
        return $choice->least(
            $shelf->ofKind('fuse'),
            Fuse::class,
            static fn(Fuse $f): bool => $f->amps >= Guard::needs($amps) && $f->volts >= $volts,
            static fn(Fuse $f): array => [$f->amps],
        );
    }

    /** @throws NoSolution where the shelf has none */
    private static function tapFuse(ShelfSource $shelf, Choice $choice, float $amps, float $volts): KitSnapshot
    {
        return self::fuse($shelf, $choice, $amps, $volts) ??
            throw new NoSolution(
                sprintf('No fuse on the shelf carries %.1f A for good and breaks %.1f V.', $amps, $volts),
                '',
                [
                    'kind' => 'fuse',
                    'amps' => sprintf('%.1f', Guard::needs($amps)),
                    'volts' => sprintf('%.1f', ceil($volts)),
                ],
            );
    }

    private static function amps(KitSnapshot $fuse): float
    {
        if ($fuse->entry instanceof Fuse) {
            return $fuse->entry->amps;
        }

        return 0.0;
    }
}
