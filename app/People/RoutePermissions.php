<?php

declare(strict_types=1);

namespace App\People;

use App\Screens\Stages;
use EmberDusk\Values\JobStage;

/** The one table of who may what, by the route's name. A route that is not in it is closed to everybody. */
final readonly class RoutePermissions
{
    /** Pages that need no account are open with one too. */
    private const READ = [
        'sign-in',
        'sign-in.store',
        'sign-in.demo',
        'client',
        'welcome',
        'welcome.store',
        'sign-out',
        'home',
        'time',
        'about',
        'about.licences',
        'people',
        'people.password',
        'people.devices.end',
        'people.factor.begin',
        'people.factor.confirm',
        'people.factor.end',
        'practice',
        'practice.begin',
        'practice.show',
        'practice.look',
        'practice.act',
        'practice.pace',
        'practice.skip',
        'practice.end',
        'jobs.summary',
        'jobs.join',
        'jobs.bench',
        'bench.helper',
        'bench.look',
        'jobs.log',
        'log.search',
        'log.csv',
        'jobs.handover',
        'jobs.wiring',
        'jobs.sheet',
        'jobs.pdf',
        'jobs.netlist',
        'jobs.state',
        'jobs.say',
        'jobs.mix',
        'jobs.frames',
        'join.look',
        'join.ahead',
        'paper.days',
        'paper.days.pdf',
        'paper.van',
        'paper.van.pdf',
        'build.calendar',
        'parts.labels',
        'parts.cuts',
        'photos.index',
        'photos.show',
        'jobs.stage',
    ];

    private const RECORD = [
        'bench.log',
        'bench.practise',
        'bench.ask',
        'bench.reel',
        'join.begin',
        'join.need',
        'join.act',
        'join.pace',
        'join.skip',
        'build.tick',
        'left.note',
        'notes.note',
        'traces.begin',
        'traces.act',
        'photos.store',
    ];

    private const PLAN = [
        'jobs.store',
        'jobs.import',
        'shelf.store',
        'shelf.destroy',
        'shelf.import',
        'jobs.archive',
        'jobs.back',
        'jobs.destroy',
        'jobs.revive',
        'point.accept',
        'point.back',
        'log.import',
        'client.make',
        'client.revoke',
        'left.forget',
        'notes.forget',
        'jobs.change',
        'jobs.preview',
        'jobs.undo',
        'jobs.redo',
        'proposals.store',
        'proposals.stop',
        'build.visits',
        'build.move',
        'build.wait',
        'parts.mark',
        'offcuts.store',
        'offcuts.leave',
        'offcuts.destroy',
        'traces.record',
        'photos.destroy',
        'jobs.splits',
        'jobs.fixes',
    ];

    private const PRICES = [
        'shelf',
        'shelf.search',
        'shelf.show',
        'shelf.shift',
        'shelf.export',
        'jobs.export',
        'jobs.history',
        'jobs.beside',
        'proposals.show',
        'jobs.quote',
        'jobs.quote.pdf',
        'quotes.since',
        'quotes.give',
        'quotes.preview',
        'parts.csv',
        'jobs.options',
        'jobs.items',
    ];

    private const PEOPLE = [
        'people.record',
        'people.invite',
        'people.link.revoke',
        'people.reset',
        'people.role',
        'people.close',
        'people.reopen',
    ];

    /**
     * Null for a route that is not in the table.
     *
     * @param  JobStage|null  $stage  that is asked for
     */
    public static function for(string $route, ?JobStage $stage = null): ?Permission
    {
        return match (true) {
            in_array($stage, Stages::PRICED, true) => Permission::Prices,
            in_array($route, self::READ, true) => Permission::Read,
            in_array($route, self::RECORD, true) => Permission::Record,
            in_array($route, self::PLAN, true) => Permission::Plan,
            in_array($route, self::PRICES, true) => Permission::Prices,
            in_array($route, self::PEOPLE, true) => Permission::People,
            default => null,
        };
    }
}
