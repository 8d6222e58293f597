<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Ratings;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Kit\Kinds;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;

/** One use of a kit entry in a plan: a device, a fixture, a cable or a part of it, a strip, a profile, an item. */
final readonly class KitUse
{
    /**
     * @param  string  $list  list of the plan, or what of its thing: joint, fuse, switch, profile, diffuser
     * @param  string  $id of the thing in that list; for parts of a cable or run its id
     * @param  string  $label label on the screens
     */
    private function __construct(
        public string $list,
        public string $id,
        public KitSnapshot $kit,
        public string $label,
        public FindingPlace $place,
    ) {}

    /** @return iterable<self> every place of a plan at which an entry with ratings stands */
    public static function all(JudgedJob $job): iterable
    {
        $plan = $job->plan;
        foreach (['supplies', 'controllers', 'hubs', 'modules'] as $list) {
            foreach ($plan->{$list} as $id => $device) {
                yield from self::one(
                    $plan,
                    $list,
                    $id,
                    $device->kit,
                    strtoupper($id),
                    JobStage::Kit,
                    $job->placeOf($id)->id,
                );
            }
        }
        foreach ($plan->fixtures as $id => $fitting) {
            yield from self::one($plan, 'fixtures', $id, $fitting->kit, strtoupper($id), JobStage::Wire, $id);
        }
        foreach ($plan->runs as $id => $run) {
            yield from self::one($plan, 'runs', $id, $run->strip, $run->name(), JobStage::Kit, $id);
            $making = $plan->makings[$id] ?? null;
            foreach (['profile' => $making?->profile, 'diffuser' => $making?->diffuser] as $part => $kit) {
                yield from self::one($plan, $part, $id, $kit, "{$run->name()}, {$part}", JobStage::Kit, $id);
            }
        }
        foreach ($plan->cables as $id => $cable) {
            $name = strtoupper($id);
            yield from self::one($plan, 'cables', $id, $cable->kit, $name, JobStage::Wire, $id);
            foreach (['joint' => $cable->joint, 'fuse' => $cable->fuse, 'switch' => $cable->switch] as $part => $kit) {
                yield from self::one($plan, $part, $id, $kit, "{$name}, {$part}", JobStage::Wire, $id);
            }
        }
        foreach ($plan->items as $id => $item) {
            $name = $plan->kit[$item->kit]->entry->name();
            yield from self::one($plan, 'items', $id, $item->kit, $name, JobStage::Kit, $id);
        }
    }

    /** @return iterable<self> */
    private static function one(
        Plan $plan,
        string $list,
        string $id,
        ?string $kit,
        string $label,
        JobStage $stage,
        string $at,
    ): iterable {
        $snapshot = $plan->kit[$kit ?? ''] ?? null;
        if ($snapshot !== null && (Kinds::get($snapshot->kind())->rated ?? []) !== []) {
            yield new self($list, $id, $snapshot, $label, new FindingPlace($stage, $at));
        }
    }
}
