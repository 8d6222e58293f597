<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Values\Trouble;

/** Reads a change from its payload: {"kind": "MoveFeed", …}. */
final readonly class Catalogue
{
    /**
     * @param  array<array-key, mixed>  $payload
     *
     * @throws Trouble with a JSON Pointer into the payload
     */
    public static function read(array $payload, ShelfSource $shelf): Change
    {
        $f = new Fields($payload);

        return match ($f->string('kind', 40)) {
            'DescribeJob' => DescribeJob::read($f),
            'SetTerms' => SetTerms::read($f),
            'AddPlace' => AddPlace::read($f),
            'RenamePlace' => RenamePlace::read($f),
            'RemovePlace' => RemovePlace::read($f),
            'SetLeg' => SetLeg::read($f),
            'NoteRun' => NoteRun::read($f),
            'RecordTrace' => RecordTrace::read($f),
            'SetLimits' => SetLimits::read($f),
            'ReviseNotes' => ReviseNotes::read($f),
            'DropRun' => DropRun::read($f),
            'ChooseKit' => ChooseKit::read($f, $shelf),
            'RefreshKit' => RefreshKit::read($f, $shelf),
            'SplitRun' => SplitRun::read($f),
            'SetFeeds' => SetFeeds::read($f),
            'SetCap' => SetCap::read($f),
            'SetOptions' => SetOptions::read($f),
            'SetOwned' => SetOwned::read($f, $shelf),
            'SetSpare' => SetSpare::read($f, $shelf),
            'SetMaking' => SetMaking::read($f, $shelf),
            'Together' => Together::read($f, $shelf),
            'ShareKit' => ShareKit::read($f),
            'SetZones' => SetZones::read($f),
            'AddSupply' => AddSupply::read($f, $shelf),
            'TapLeg' => TapLeg::read($f, $shelf),
            'AddFeed' => AddFeed::read($f),
            'MoveFeed' => MoveFeed::read($f),
            'RemoveFeed' => RemoveFeed::read($f),
            'FeedPattern' => FeedPattern::read($f),
            'SetCable' => SetCable::read($f, $shelf),
            'SetFixture' => SetFixture::read($f, $shelf),
            'HangFixture' => HangFixture::read($f, $shelf),
            'ChooseModule' => ChooseModule::read($f, $shelf),
            'SetScene' => SetScene::read($f),
            'SetSwitch' => SetSwitch::read($f),
            'SetBlocks' => SetBlocks::read($f),
            'PinRun' => PinRun::read($f),
            'WireRuns' => WireRuns::read($f, $shelf),
            'NameLight' => NameLight::read($f),
            default => throw $f->trouble('kind', 'No change of that kind is known.'),
        };
    }
}
