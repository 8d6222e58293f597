<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/** What one family of controllers brings to a join run: its guide, its windows and its stand-ins. One folder a family. */
interface Family
{
    /**
     * The one correct next step.
     *
     * @param  list<Event>  $log
     */
    public function next(Kit $kit, array $log, float $now): Step;

    /**
     * What the clock alone has decided since the last line of the log.
     *
     * @param  list<Event>  $log
     * @return list<Event>
     */
    public function notices(Kit $kit, array $log, float $now): array;

    /**
     * As what an app lists a device since its last reset, as far as the log tells; null when it does not.
     *
     * @param  list<Event>  $log
     */
    public function listedAs(string $device, Kit $kit, array $log): ?string;

    /**
     * Stretches of time in which the hub looked for devices.
     *
     * @param  list<Event>  $log
     * @return list<array{float, float}> run seconds from, to
     */
    public function searches(Kit $kit, array $log): array;

    /**
     * Stretches of time in which a controller listened.
     *
     * @param  list<Event>  $log
     * @return list<array{float, float}> run seconds from, to
     */
    public function listening(Kit $kit, string $device, array $log): array;

    /**
     * The simulated devices as a log has left them. The same seed and log give the same.
     *
     * @param  list<Event>  $log in the order of time
     */
    public function standIns(Kit $kit, int $seed, array $log, float $now): StandIns;
}
