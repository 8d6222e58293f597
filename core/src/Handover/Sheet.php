<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Checks\CheckedSubject;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** The hand-over sheet: the installation, its expected readings, its names, and recovery steps. */
final readonly class Sheet implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  list<SheetRunRecord>  $runs
     * @param  list<SheetCable>  $cables  to no run
     * @param  string  $missing  measured runs without kit
     * @param  list<string>  $also  kit beside the chains of the runs
     * @param  list<string>  $join  the last join run in words, with its times
     * @param  list<SheetTested>  $tested
     * @param  list<SheetScene>  $scenes
     * @param  list<string>  $day  the client's card for daily use
     * @param  list<HidingRow>  $hiding
     * @param  list<string>  $plays  shows and automation
     * @param  list<string>  $power  what lights do when power returns
     * @param  list<ResetCard>  $cards
     * @param  list<LessonPoint>  $lesson
     * @param  list<RecoveryGuide>  $recovery
     * @param  list<SheetLoss>  $losses  what to do after a loss, for the client
     * @param  list<string>  $open  titles of open findings
     * @param  list<CheckedSubject>  $checked
     */
    public function __construct(
        public string $job,
        public string $client,
        public int $revision,
        public string $engine,
        #[Field(of: SheetRunRecord::class)] public array $runs,
        #[Field(of: SheetCable::class)] public array $cables,
        public string $missing,
        #[Field(of: Field::TEXTS)] public array $also,
        public ?string $hub,
        #[Field(of: Field::TEXTS)] public array $join,
        #[Field(of: SheetTested::class)] public array $tested,
        #[Field(of: SheetScene::class)] public array $scenes,
        #[Field(of: Field::TEXTS)] public array $day,
        #[Field(of: HidingRow::class)] public array $hiding,
        public SheetBoard $board,
        #[Field(of: Field::TEXTS)] public array $plays,
        #[Field(of: Field::TEXTS)] public array $power,
        #[Field(of: ResetCard::class)] public array $cards,
        #[Field(of: LessonPoint::class)] public array $lesson,
        #[Field(of: RecoveryGuide::class)] public array $recovery,
        #[Field(of: SheetLoss::class)] public array $losses,
        #[Field(of: Field::TEXTS)] public array $open,
        #[Field(of: CheckedSubject::class)] public array $checked,
        public string $caution,
    ) {}
}
