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
use EmberDusk\Plan\Changes\Runs\SetSegments;
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
    /** @var array<string, class-string<Change>> by the name under which it is stored */
    private const KINDS = [
        'DescribeJob' => DescribeJob::class,
        'SetTerms' => SetTerms::class,
        'AddPlace' => AddPlace::class,
        'RenamePlace' => RenamePlace::class,
        'RemovePlace' => RemovePlace::class,
        'SetLeg' => SetLeg::class,
        'NoteRun' => NoteRun::class,
        'NoteMatrix' => NoteMatrix::class,
        'RecordTrace' => RecordTrace::class,
        'SetLimits' => SetLimits::class,
        'ReviseNotes' => ReviseNotes::class,
        'DropRun' => DropRun::class,
        'ChooseKit' => ChooseKit::class,
        'RemoveHub' => RemoveHub::class,
        'RefreshKit' => RefreshKit::class,
        'SplitRun' => SplitRun::class,
        'SplitParts' => SplitParts::class,
        'SplitController' => SplitController::class,
        'SplitZones' => SplitZones::class,
        'SplitRepeater' => SplitRepeater::class,
        'BackTogether' => RejoinRun::class,
        'SetFeeds' => SetFeeds::class,
        'SetCap' => SetCap::class,
        'SetOptions' => SetOptions::class,
        'SetOwned' => SetOwned::class,
        'SetSpare' => SetSpare::class,
        'SetMaking' => SetAssembly::class,
        'Together' => ChangeGroup::class,
        'ShareKit' => ShareKit::class,
        'SetZones' => SetZones::class,
        'AddSupply' => AddSupply::class,
        'TapLeg' => TapLeg::class,
        'UseLeg' => UseLeg::class,
        'AddFeed' => AddFeed::class,
        'MoveFeed' => MoveFeed::class,
        'RemoveFeed' => RemoveFeed::class,
        'FeedFrom' => FeedFrom::class,
        'ArrangeData' => ArrangeData::class,
        'FeedPattern' => FeedPattern::class,
        'SetCable' => SetCable::class,
        'SetItem' => SetItem::class,
        'SetAnswer' => SetAnswer::class,
        'MarkUsed' => MarkUsed::class,
        'SetFixture' => SetFixture::class,
        'HangFixture' => HangFixture::class,
        'ChooseModule' => ChooseModule::class,
        'SetSegments' => SetSegments::class,
        'SetScene' => SetScene::class,
        'SetShow' => SetShow::class,
        'SetTrigger' => SetTrigger::class,
        'SetTuning' => SetTuning::class,
        'SetPosition' => SetPosition::class,
        'SetSwitch' => SetSwitch::class,
        'SetBlocks' => SetBlocks::class,
        'PinRun' => PinRun::class,
        'WireRuns' => WireRuns::class,
        'PlaceDevice' => PlaceDevice::class,
        'NameLight' => NameLight::class,
    ];

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

        $kind = self::KINDS[$f->string('kind', 40)] ?? throw $f->invalid('kind', 'No change of that kind is known.');

        return $kind::read($f, $shelf);
    }
}
