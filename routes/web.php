<?php

declare(strict_types=1);

use App\Http\Controllers\AboutController;
use App\Http\Controllers\AcceptController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\BuildController;
use App\Http\Controllers\ClientController;
use App\Http\Controllers\EditController;
use App\Http\Controllers\HandoverController;
use App\Http\Controllers\HelperController;
use App\Http\Controllers\JobController;
use App\Http\Controllers\JoinController;
use App\Http\Controllers\LeftController;
use App\Http\Controllers\LogController;
use App\Http\Controllers\OffcutController;
use App\Http\Controllers\OptionController;
use App\Http\Controllers\PaperController;
use App\Http\Controllers\PartController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\PhotoController;
use App\Http\Controllers\PracticeController;
use App\Http\Controllers\ProposalController;
use App\Http\Controllers\QuoteController;
use App\Http\Controllers\ReelController;
use App\Http\Controllers\SayController;
use App\Http\Controllers\SceneController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\ShelfController;
use App\Http\Controllers\TraceController;
use App\Http\Controllers\WelcomeController;
use App\Screens\Stages;
use Illuminate\Support\Facades\Route;

Route::middleware('guest')->group(static function (): void {
    Route::get('sign-in', [SessionController::class, 'show'])->name('sign-in');
    Route::post('sign-in', [SessionController::class, 'store'])
        ->middleware('throttle:sign-in')
        ->name('sign-in.store');
    Route::post('sign-in/demo', [SessionController::class, 'demo'])
        ->middleware('throttle:sign-in')
        ->name('sign-in.demo');
});

// Read by the person who has the address, without an account.
Route::get('client/{clientLink}/{secret?}', [ClientController::class, 'show'])
    ->where('clientLink', '[0-9]{1,15}')
    ->where('secret', '[A-Za-z0-9]{40}')
    ->middleware('throttle:60,1')
    ->name('client');

// An invitation, or a new password: good once, for the person who has the address.
Route::get('welcome/{personLink}/{secret}', [WelcomeController::class, 'show'])
    ->where(['personLink' => '[0-9]{1,15}', 'secret' => '[A-Za-z0-9]{40}'])
    ->middleware('throttle:sign-in')
    ->name('welcome');
Route::post('welcome/{personLink}/{secret}', [WelcomeController::class, 'store'])
    ->where(['personLink' => '[0-9]{1,15}', 'secret' => '[A-Za-z0-9]{40}'])
    ->middleware('throttle:sign-in')
    ->name('welcome.store');

Route::middleware('auth')->group(static function (): void {
    Route::post('sign-out', [SessionController::class, 'destroy'])->name('sign-out');
    Route::get('/', [JobController::class, 'index'])->name('home');
    Route::get('time', [SessionController::class, 'time'])->name('time');
    Route::post('jobs', [JobController::class, 'store'])->name('jobs.store');
    Route::post('jobs/import', [JobController::class, 'import'])
        ->middleware('throttle:heavy')
        ->name('jobs.import');

    Route::get('about', [AboutController::class, 'show'])->name('about');
    Route::get('about/licences.txt', [AboutController::class, 'texts'])->name('about.licences');
    Route::get('people', [PeopleController::class, 'show'])->name('people');
    Route::post('people/password', [PeopleController::class, 'password'])
        ->middleware('throttle:sign-in')
        ->name('people.password');
    Route::post('people/factor', [PeopleController::class, 'beginFactor'])->name('people.factor.begin');
    Route::post('people/factor/confirm', [PeopleController::class, 'confirmFactor'])
        ->middleware('throttle:sign-in')
        ->name('people.factor.confirm');
    Route::post('people/factor/end', [PeopleController::class, 'endFactor'])
        ->middleware('throttle:sign-in')
        ->name('people.factor.end');
    Route::post('people/devices/end', [PeopleController::class, 'endDevices'])->name('people.devices.end');
    Route::get('people/record.csv', [PeopleController::class, 'record'])->name('people.record');
    Route::post('people/invite', [PeopleController::class, 'invite'])->name('people.invite');
    Route::post('people/links/{personLink}/revoke', [PeopleController::class, 'revoke'])
        ->middleware('can:lead,personLink')
        ->name('people.link.revoke');
    Route::prefix('people/{person}')
        ->middleware('can:lead,person')
        ->group(static function (): void {
            Route::post('reset', [PeopleController::class, 'reset'])->name('people.reset');
            Route::post('role', [PeopleController::class, 'role'])->name('people.role');
            Route::post('close', [PeopleController::class, 'close'])->name('people.close');
            Route::post('reopen', [PeopleController::class, 'reopen'])->name('people.reopen');
        });

    Route::post('deleted/{job}/back', [JobController::class, 'bringBack'])
        ->withTrashed()
        ->middleware('can:work,job')
        ->name('jobs.revive');

    Route::get('shelf', [ShelfController::class, 'index'])->name('shelf');
    Route::get('shelf/entries', [ShelfController::class, 'search'])->name('shelf.search');
    Route::post('shelf/entries', [ShelfController::class, 'store'])->name('shelf.store');
    Route::get('shelf/entries/{entry}', [ShelfController::class, 'show'])->name('shelf.show');
    Route::delete('shelf/entries/{entry}', [ShelfController::class, 'destroy'])->name('shelf.destroy');
    Route::get('shelf/entries/{entry}/jobs/{job}', [ShelfController::class, 'shift'])
        ->middleware('can:work,job')
        ->name('shelf.shift');
    Route::post('shelf/import', [ShelfController::class, 'import'])
        ->middleware('throttle:heavy')
        ->name('shelf.import');
    Route::get('shelf/export.{format}', [ShelfController::class, 'export'])
        ->whereIn('format', ['csv', 'json'])
        ->name('shelf.export');

    Route::get('practice', [PracticeController::class, 'index'])->name('practice');
    Route::post('practice/{lesson}', [PracticeController::class, 'begin'])->name('practice.begin');
    Route::prefix('practice/runs/{practiceRun}')
        ->middleware('can:work,practiceRun')
        ->group(static function (): void {
            Route::get('/', [PracticeController::class, 'show'])->name('practice.show');
            Route::get('look', [PracticeController::class, 'look'])->name('practice.look');
            Route::post('/', [PracticeController::class, 'act'])->name('practice.act');
            Route::post('pace', [PracticeController::class, 'speed'])->name('practice.pace');
            Route::post('skip', [PracticeController::class, 'skip'])->name('practice.skip');
            Route::post('end', [PracticeController::class, 'end'])->name('practice.end');
        });

    Route::prefix('jobs/{job}')
        ->middleware('can:work,job')
        ->scopeBindings()
        ->group(static function (): void {
            Route::get('summary', [JobController::class, 'summary'])->name('jobs.summary');
            Route::post('archive', [JobController::class, 'archive'])->name('jobs.archive');
            Route::post('back', [JobController::class, 'back'])->name('jobs.back');
            Route::delete('/', [JobController::class, 'destroy'])->name('jobs.destroy');
            Route::get('join', [JoinController::class, 'show'])->name('jobs.join');
            Route::get('bench', [BenchController::class, 'show'])->name('jobs.bench');
            Route::get('bench/helper', HelperController::class)->name('bench.helper');
            Route::get('bench/look', [BenchController::class, 'look'])->name('bench.look');
            Route::post('bench/log', [BenchController::class, 'log'])->name('bench.log');
            Route::post('bench/practices', [BenchController::class, 'practise'])->name('bench.practise');
            Route::post('bench/practices/{benchPractice}', [BenchController::class, 'ask'])->name('bench.ask');
            Route::post('bench/reel', ReelController::class)->name('bench.reel');
            Route::post('accept', [AcceptController::class, 'accept'])->name('point.accept');
            Route::post('accept/back', [AcceptController::class, 'takeBack'])->name('point.back');
            Route::get('log', [LogController::class, 'show'])->name('jobs.log');
            Route::get('log/lines', [LogController::class, 'search'])->name('log.search');
            Route::get('log.csv', [LogController::class, 'csv'])->name('log.csv');
            Route::post('log/import', [LogController::class, 'import'])
                ->middleware('throttle:heavy')
                ->name('log.import');
            Route::get('handover', [HandoverController::class, 'show'])->name('jobs.handover');
            Route::post('client-links', [ClientController::class, 'make'])->name('client.make');
            Route::post('client-links/{clientLink}/revoke', [ClientController::class, 'revoke'])->name('client.revoke');
            Route::post('left', [LeftController::class, 'note'])->name('left.note');
            Route::post('left/{leftFact}/forget', [LeftController::class, 'forget'])->name('left.forget');
            Route::post('kit-notes', [LeftController::class, 'noteKit'])->name('notes.note');
            Route::post('kit-notes/{kitNote}/forget', [LeftController::class, 'forgetKit'])->name('notes.forget');
            Route::get('wiring/{run}.svg', [LeftController::class, 'wiring'])->name('jobs.wiring');
            Route::get('sheet', [HandoverController::class, 'html'])->name('jobs.sheet');
            Route::get('sheet.pdf', [HandoverController::class, 'pdf'])->name('jobs.pdf');
            Route::get('export', [JobController::class, 'export'])->name('jobs.export');
            Route::get('netlist', [JobController::class, 'netlist'])->name('jobs.netlist');
            Route::get('state', [EditController::class, 'show'])->name('jobs.state');
            Route::get('fixes', [EditController::class, 'fixes'])->name('jobs.fixes');
            Route::get('history', [EditController::class, 'history'])->name('jobs.history');
            Route::get('beside/{number}', [EditController::class, 'beside'])
                ->where('number', '[0-9]{1,9}')
                ->name('jobs.beside');
            Route::post('change', [EditController::class, 'change'])->name('jobs.change');
            Route::post('preview', [EditController::class, 'preview'])->name('jobs.preview');
            Route::post('undo', [EditController::class, 'undo'])->name('jobs.undo');
            Route::post('redo', [EditController::class, 'redo'])->name('jobs.redo');
            Route::post('join', [JoinController::class, 'begin'])->name('join.begin');
            Route::post('say', SayController::class)->name('jobs.say');
            Route::post('mix', [SceneController::class, 'mix'])->name('jobs.mix');
            Route::get('shows/{show}/frames', [SceneController::class, 'frames'])->name('jobs.frames');
            Route::post('join/needs', [JoinController::class, 'need'])->name('join.need');
            Route::get('join/{joinRun}', [JoinController::class, 'look'])->name('join.look');
            Route::post('join/{joinRun}', [JoinController::class, 'act'])->name('join.act');
            Route::get('join/{joinRun}/ahead', [JoinController::class, 'ahead'])->name('join.ahead');
            Route::post('join/{joinRun}/pace', [JoinController::class, 'speed'])->name('join.pace');
            Route::post('join/{joinRun}/skip', [JoinController::class, 'skip'])->name('join.skip');
            Route::post('proposals', [ProposalController::class, 'store'])
                ->middleware('throttle:heavy')
                ->name('proposals.store');
            Route::get('proposals/{proposal}', [ProposalController::class, 'show'])->name('proposals.show');
            Route::post('proposals/{proposal}/stop', [ProposalController::class, 'stop'])->name('proposals.stop');
            Route::post('build/tick', [BuildController::class, 'tick'])->name('build.tick');
            Route::post('build/visits', [BuildController::class, 'visits'])->name('build.visits');
            Route::post('build/move', [BuildController::class, 'move'])->name('build.move');
            Route::post('build/wait', [BuildController::class, 'wait'])->name('build.wait');
            Route::get('day-sheets', [PaperController::class, 'days'])->name('paper.days');
            Route::get('day-sheets.pdf', [PaperController::class, 'daysPdf'])->name('paper.days.pdf');
            Route::get('van', [PaperController::class, 'van'])->name('paper.van');
            Route::get('van.pdf', [PaperController::class, 'vanPdf'])->name('paper.van.pdf');
            Route::get('build.ics', [BuildController::class, 'calendar'])->name('build.calendar');
            Route::post('parts', [PartController::class, 'mark'])->name('parts.mark');
            Route::get('quote', [QuoteController::class, 'html'])->name('jobs.quote');
            Route::get('quote.pdf', [QuoteController::class, 'pdf'])->name('jobs.quote.pdf');
            Route::get('quotes', [QuoteController::class, 'since'])->name('quotes.since');
            Route::post('quotes', [QuoteController::class, 'give'])->name('quotes.give');
            Route::post('quotes/preview', [QuoteController::class, 'preview'])->name('quotes.preview');
            Route::get('labels', [PartController::class, 'labels'])->name('parts.labels');
            Route::post('offcuts', [OffcutController::class, 'store'])->name('offcuts.store');
            Route::post('offcuts/left', [OffcutController::class, 'leave'])->name('offcuts.leave');
            Route::delete('offcuts/{offcut}', [OffcutController::class, 'destroy'])
                ->where('offcut', '[0-9]{1,15}')
                ->name('offcuts.destroy');
            Route::get('cuts.csv', [PartController::class, 'cuts'])->name('parts.cuts');
            Route::get('parts.csv', [PartController::class, 'csv'])->name('parts.csv');
            Route::get('options/{run}', [OptionController::class, 'show'])->name('jobs.options');
            Route::get('items', [OptionController::class, 'items'])->name('jobs.items');
            Route::get('splits/{run}', [OptionController::class, 'splits'])->name('jobs.splits');
            Route::post('traces', [TraceController::class, 'begin'])->name('traces.begin');
            Route::post('traces/{trace}', [TraceController::class, 'act'])->name('traces.act');
            Route::post('traces/{trace}/record', [TraceController::class, 'record'])->name('traces.record');
            Route::get('places/{place}/photos', [PhotoController::class, 'index'])->name('photos.index');
            Route::post('photos', [PhotoController::class, 'store'])
                ->middleware('throttle:heavy')
                ->name('photos.store');
            Route::get('photos/{photo}', [PhotoController::class, 'show'])->name('photos.show');
            Route::delete('photos/{photo}', [PhotoController::class, 'destroy'])->name('photos.destroy');
            Route::get('{stage}', [JobController::class, 'stage'])
                ->whereIn('stage', Stages::shown())
                ->name('jobs.stage');
        });
});
