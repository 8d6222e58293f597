<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Control\SetAnswer;
use EmberDusk\Plan\Changes\Control\SetPosition;
use EmberDusk\Plan\Changes\Control\SetTuning;
use EmberDusk\Plan\Changes\Job\ChangeGroup;
use EmberDusk\Plan\Changes\Job\DescribeJob;
use EmberDusk\Plan\Changes\Job\SetLimits;
use EmberDusk\Plan\Changes\Job\SetTerms;
use EmberDusk\Plan\Changes\Kit\AddSupply;
use EmberDusk\Plan\Changes\Kit\ChooseKit;
use EmberDusk\Plan\Changes\Kit\ChooseModule;
use EmberDusk\Plan\Changes\Kit\HangFixture;
use EmberDusk\Plan\Changes\Kit\MarkUsed;
use EmberDusk\Plan\Changes\Kit\RefreshKit;
use EmberDusk\Plan\Changes\Kit\RemoveHub;
use EmberDusk\Plan\Changes\Kit\SetAssembly;
use EmberDusk\Plan\Changes\Kit\SetBlocks;
use EmberDusk\Plan\Changes\Kit\SetFixture;
use EmberDusk\Plan\Changes\Kit\SetItem;
use EmberDusk\Plan\Changes\Kit\SetOptions;
use EmberDusk\Plan\Changes\Kit\SetOwned;
use EmberDusk\Plan\Changes\Kit\SetSpare;
use EmberDusk\Plan\Changes\Kit\SetSwitch;
use EmberDusk\Plan\Changes\Kit\ShareKit;
use EmberDusk\Plan\Changes\Places\AddPlace;
use EmberDusk\Plan\Changes\Places\RecordTrace;
use EmberDusk\Plan\Changes\Places\RemovePlace;
use EmberDusk\Plan\Changes\Places\RenamePlace;
use EmberDusk\Plan\Changes\Places\ReviseNotes;
use EmberDusk\Plan\Changes\Places\SetLeg;
use EmberDusk\Plan\Changes\Runs\DropRun;
use EmberDusk\Plan\Changes\Runs\NameLight;
use EmberDusk\Plan\Changes\Runs\NoteMatrix;
use EmberDusk\Plan\Changes\Runs\NoteRun;
use EmberDusk\Plan\Changes\Runs\PinRun;
use EmberDusk\Plan\Changes\Runs\SetCap;
use EmberDusk\Plan\Changes\Runs\SetZones;
use EmberDusk\Plan\Changes\Runs\SplitRun;
use EmberDusk\Plan\Changes\Scenes\SetScene;
use EmberDusk\Plan\Changes\Scenes\SetShow;
use EmberDusk\Plan\Changes\Scenes\SetTrigger;
use EmberDusk\Plan\Changes\Splits\RejoinRun;
use EmberDusk\Plan\Changes\Splits\SplitController;
use EmberDusk\Plan\Changes\Splits\SplitParts;
use EmberDusk\Plan\Changes\Splits\SplitRepeater;
use EmberDusk\Plan\Changes\Splits\SplitZones;
use EmberDusk\Plan\Changes\Wires\AddFeed;
use EmberDusk\Plan\Changes\Wires\ArrangeData;
use EmberDusk\Plan\Changes\Wires\FeedFrom;
use EmberDusk\Plan\Changes\Wires\FeedPattern;
use EmberDusk\Plan\Changes\Wires\MoveFeed;
use EmberDusk\Plan\Changes\Wires\PlaceDevice;
use EmberDusk\Plan\Changes\Wires\RemoveFeed;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Plan\Changes\Wires\SetFeeds;
use EmberDusk\Plan\Changes\Wires\TapLeg;
use EmberDusk\Plan\Changes\Wires\UseLeg;
use EmberDusk\Plan\Changes\Wires\WireRuns;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\Refusal;

/** Reads a change from its payload: {"kind": "MoveFeed", …}. */
final readonly class Catalogue
{
    /** @throws Refusal when the shelf or the plan lacks an entry it names */
    public static function make(ChangePayload $asked, ShelfSource $shelf): Change
    {
        return self::read($asked->write(), $shelf);
    }

    /**
     * @param  array<array-key, mixed>  $payload
     *
     * @throws Refusal with a JSON Pointer into the payload
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
            'NoteMatrix' => NoteMatrix::read($f),
            'RecordTrace' => RecordTrace::read($f),
            'SetLimits' => SetLimits::read($f),
            'ReviseNotes' => ReviseNotes::read($f),
            'DropRun' => DropRun::read($f),
            'ChooseKit' => ChooseKit::read($f, $shelf),
            'RemoveHub' => new RemoveHub(),
            'RefreshKit' => RefreshKit::read($f, $shelf),
            'SplitRun' => SplitRun::read($f),
            'SplitParts' => SplitParts::read($f),
            'SplitController' => SplitController::read($f),
            'SplitZones' => SplitZones::read($f),
            'SplitRepeater' => SplitRepeater::read($f, $shelf),
            'BackTogether' => RejoinRun::read($f),
            'SetFeeds' => SetFeeds::read($f),
            'SetCap' => SetCap::read($f),
            'SetOptions' => SetOptions::read($f),
            'SetOwned' => SetOwned::read($f, $shelf),
            'SetSpare' => SetSpare::read($f, $shelf),
            'SetMaking' => SetAssembly::read($f, $shelf),
            'Together' => ChangeGroup::read($f, $shelf),
            'ShareKit' => ShareKit::read($f),
            'SetZones' => SetZones::read($f),
            'AddSupply' => AddSupply::read($f, $shelf),
            'TapLeg' => TapLeg::read($f, $shelf),
            'UseLeg' => UseLeg::read($f, $shelf),
            'AddFeed' => AddFeed::read($f),
            'MoveFeed' => MoveFeed::read($f),
            'RemoveFeed' => RemoveFeed::read($f),
            'FeedFrom' => FeedFrom::read($f),
            'ArrangeData' => ArrangeData::read($f),
            'FeedPattern' => FeedPattern::read($f),
            'SetCable' => SetCable::read($f, $shelf),
            'SetItem' => SetItem::read($f, $shelf),
            'SetAnswer' => SetAnswer::read($f),
            'MarkUsed' => MarkUsed::read($f),
            'SetFixture' => SetFixture::read($f, $shelf),
            'HangFixture' => HangFixture::read($f, $shelf),
            'ChooseModule' => ChooseModule::read($f, $shelf),
            'SetScene' => SetScene::read($f),
            'SetShow' => SetShow::read($f),
            'SetTrigger' => SetTrigger::read($f),
            'SetTuning' => SetTuning::read($f),
            'SetPosition' => SetPosition::read($f),
            'SetSwitch' => SetSwitch::read($f),
            'SetBlocks' => SetBlocks::read($f),
            'PinRun' => PinRun::read($f),
            'WireRuns' => WireRuns::read($f, $shelf),
            'PlaceDevice' => PlaceDevice::read($f),
            'NameLight' => NameLight::read($f),
            default => throw $f->invalid('kind', 'No change of that kind is known.'),
        };
    }
}
