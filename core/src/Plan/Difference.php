<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Formats\Json;

/** Items that differ between two plans, and restoring some of them. */
final readonly class Difference
{
    public function __construct(private Plan $before, private Plan $after) {}

    /** @return list<string> "list/id" of every item that is not the same in both */
    public function between(): array
    {
        $old = array_map(Json::compact(...), Document::items($this->before));
        $new = array_map(Json::compact(...), Document::items($this->after));

        return array_values(
            array_filter(
                array_keys($old + $new),
                static fn(string $key): bool => ($old[$key] ?? null) !== ($new[$key] ?? null),
            ),
        );
    }

    /**
     * The newest plan with some items restored from another one (absent there: absent).
     *
     * @param  list<string>  $items
     *
     * @throws \EmberDusk\Values\Refusal when what results would not hold together
     */
    public static function restore(Plan $newest, Plan $source, array $items): Plan
    {
        $from = Document::items($source);
        $document = $newest->write();
        foreach ($items as $key) {
            [$list, $id] = explode('/', $key, 2);
            if ($list === 'job') {
                $document = $from[$key] + $document;

                continue;
            }
            $kept = [];
            foreach ((new Fields($document))->objects($list) as $item) {
                if ($item->string('id') !== $id) {
                    $kept[] = $item->all();
                }
            }
            $document[$list] = isset($from[$key]) ? [...$kept, $from[$key]] : $kept;
        }
        // Kit that only restored items use is in the source, not in the newest document.
        $plan = Plan::read(new Fields($document));
        $plan = $plan->with(kit: $plan->kit + $source->kit);
        Invariants::check($plan);

        return $plan;
    }
}
