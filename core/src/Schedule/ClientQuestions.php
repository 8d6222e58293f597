<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Kit\Control;
use EmberDusk\Plan\Plan;

/** Details that only the client knows, asked before the first day. Never a password itself. */
final readonly class ClientQuestions
{
    public function __construct(private Plan $plan) {}

    /** @return list<string> none where the kit needs nothing from the client */
    public function for(): array
    {
        $families = $this->plan->controlWays();
        $network = $account = $this->plan->hubs !== [];
        foreach ($this->plan->items as $item) {
            $entry = $this->plan->kit[$item->kit]->entry;
            if ($entry instanceof Control) {
                $network = $network || $entry->beside()?->network === true;
                $account = $account || $entry->beside()?->account === true;
                $families += array_fill_keys($entry->speaks, true);
            }
        }
        $network = $network || isset($families['wifi']);
        $phone = $network || $account || isset($families['bluetooth']) || isset($families['mesh']);

        return array_values(
            array_filter([
                $network ? 'the network’s name and band, whether it is a guest network, who types its password' : null,
                $account ? 'who owns the app’s account and has its rights' : null,
                $phone ? 'which phone the client will use' : null,
            ]),
        );
    }

    /** The questions as a message that can be sent, with the first day; empty where there are none. */
    public function message(string $day): string
    {
        $questions = $this->for();
        if ($questions === []) {
            return '';
        }

        return "{$this->plan->name}: we come on " .
            Day::words($day) .
            ". Please tell us before then:\n" .
            implode('', array_map(static fn(string $q): string => "- {$q}\n", $questions)) .
            'Please do not send a password: it is typed in when we are there.';
    }
}
