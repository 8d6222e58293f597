<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

use EmberDusk\Bench\Meter\CableSpots;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Source;

/** A fault, and what fixes it, in words. */
final readonly class FaultWords
{
    public function __construct(private Plan $plan) {}

    /** Name of a class: “bad joint of + of K3 at F1”. */
    public function class(FaultBelief $belief, string $class): string
    {
        $fault = $belief->fault($class);

        return match (true) {
            $class === FaultBelief::NONE && $belief->open !== [] => 'no fault found so far',
            $class === FaultBelief::NONE => 'no fault',
            $fault === null => 'more than one fault, or a fault that is not in the list',
            default => $this->fault($belief, $fault),
        };
    }

    /** One fault, or the faults that readings cannot tell from it. */
    public function fault(FaultBelief $belief, Fault $fault): string
    {
        return $this->said($fault, count($belief->members[$fault->class()] ?? []) > 1);
    }

    /** How large, where a size says something: “about 0.4 Ω”. */
    public function size(Fault $fault): string
    {
        $percent = sprintf('%.0f %%', 100 * $fault->size);

        return match ($fault->kind) {
            FaultKind::Joint => 'about ' . self::ohms($fault->size),
            FaultKind::Size, FaultKind::Length => sprintf('%.1f times the ohms that were planned', $fault->size),
            FaultKind::Low => "about {$percent} of its volts",
            FaultKind::Overload => sprintf('it gives up at about %.1f A', $fault->size),
            FaultKind::Rail => sprintf('%.1f times the ohms on the shelf', $fault->size),
            FaultKind::Strip => "it takes {$percent} of the planned current",
            FaultKind::Limit => "at about {$percent}",
            FaultKind::Count => "about {$percent} of the run light",
            default => '',
        };
    }

    /** Repair advice, with the supply off. */
    public function mend(Fault $fault): string
    {
        return match ($fault->kind) {
            FaultKind::Joint
                => 'Remake that joint: tin both sides and pull on it when cold; tighten a screw, seat a plug.',
            FaultKind::Feed
                => 'Seat or solder the feed’s leads, then lift the other feed: this one alone has to light the strip.',
            FaultKind::Size,
            FaultKind::Length
                => 'Measure the cable and read its size on the sheath. Correct the plan, or lay the planned cable.',
            FaultKind::Low => match ($this->plan->power()->sourceOf($fault->place)) {
                Source::Mains
                    => 'Set the supply to the strip’s volts at its own screw, without load. Mains terminals are for a licensed person.',
                default => 'Charge the bank and measure its volts without load. Adjust or replace a converter.',
            },
            FaultKind::Overload
                => 'Look for a supply smaller than planned or one that is too warm; less light, a limit, or a larger supply.',
            FaultKind::Rail
                => 'The strip’s copper is thinner than its entry says: add a feed, or measure the reel and use its rail resistance.',
            FaultKind::Strip => 'Read the label on the reel: watts per metre and volts. Change the strip or the plan.',
            FaultKind::Reversed => 'Turn that piece round: + to +, and follow the arrow if there is one.',
            FaultKind::Limit => 'Set the limit in the controller, then read again at full white.',
            FaultKind::Switch => 'Set the switch to the strip’s kind, then test colour by colour.',
            FaultKind::Kind => 'Set four channels to a pixel, then the order, then count.',
            FaultKind::Count => 'Find the count: step until the last pixel just lights.',
            FaultKind::Data
                => 'Remake the data joint before that piece. Check that its arrow points onwards, and that the leg has a core for data.',
        };
    }

    private function said(Fault $fault, bool $alike): string
    {
        $parts = explode(':', $fault->place);
        $of = $this->name($parts[0]);

        return match ($fault->kind) {
            FaultKind::Joint => $this->joint($parts),
            FaultKind::Feed => "feed {$of} dead or loose",
            FaultKind::Size, FaultKind::Length => $alike
                ? "{$of}: cable thinner or longer than planned (volts alone cannot show which)"
                : "{$of}: {$fault->kind->words()}",
            FaultKind::Data => "{$of}: no data from piece {$parts[1]} on (joint, arrow or leg)",
            FaultKind::Reversed => "{$of}: piece {$parts[1]} the wrong way round",
            FaultKind::Switch => "{$of}: its switch is left at {$parts[1]}",
            default => "{$of}: {$fault->kind->words()}",
        };
    }

    /** @param  list<string>  $parts */
    private function joint(array $parts): string
    {
        [$id, $end, $core] = [$parts[0], $parts[1] ?? '', (int) ($parts[2] ?? 1)];
        $conductor = CableSpots::core($core);
        $cable = $this->plan->cables[$id] ?? null;
        if ($cable !== null) {
            return "bad joint of {$conductor} of {$this->name($id)} at " .
                strtoupper($end === 'from' ? $cable->from : $cable->to);
        }
        $lead = (int) preg_replace('/\D/', '', $end);
        $piece = str_starts_with($end, 'from') ? $lead : $lead + 1;

        return "{$this->name($id)}: bad joint of {$conductor} at piece {$piece}";
    }

    private function name(string $id): string
    {
        if (isset($this->plan->runs[$id])) {
            return $this->plan->runs[$id]->name();
        }

        return strtoupper($id);
    }

    private static function ohms(float $ohms): string
    {
        if ($ohms < 1) {
            return sprintf('%.0f mΩ', 1000 * $ohms);
        }

        return sprintf('%.1f Ω', $ohms);
    }
}
