<?php

declare(strict_types=1);

/**
 * Small damages to rules, each with the one test that must fail of it: file below core/src, what is searched (it stands
 * there once), what takes its place, the test below core/tests. bin/mutants tries them.
 *
 * @return list<array{string, string, string, string}>
 */
$workings = 'Checks/WorkingsTest.php';
$flows = 'Checks/FlowsTest.php';
$at = static fn(string $file, array ...$damages): array => array_map(
    static fn(array $d): array => [$file, $d[0], $d[1], $d[2] ?? 'Checks/RegistryTest.php'],
    $damages,
);

return array_merge(
    $at(
        'Checks/Bench/ReadingFindings.php',
        ['Verdict::of($row) === Verdict::Outside', 'Verdict::of($row) === Verdict::Doubtful'],
        ['if ($row->against !== null)', 'if ($row->against === $row->entry)'],
        ['foreach ($facts->gone($ids) as $entry)', 'foreach ([] as $entry)'],
        ['if ($row->doubt !== null)', 'if ($row->doubt === $row->against)'],
    ),
    $at(
        'Checks/Bench/SeenFindings.php',
        ['!$found->right()', '$found->right()'],
        ["['asking', 'count']", "['asking', 'joint']"],
        ['if ($foreign !== [])', 'if ($foreign === [])'],
    ),
    $at(
        'Bench/Log/BenchFacts.php',
        ['?->resetAfter() === true', '?->resetAfter() === false'],
        ['&& $ids->has($e->place)) {', ') {', 'Bench/LogTest.php'],
    ),
    $at(
        'Bench/Meter/Multimeter.php',
        ['SHARE = 0.005;', 'SHARE = 0.01;', 'Bench/MeterTest.php'],
        ['DIGITS = 2;', 'DIGITS = 3;', 'Bench/MeterTest.php'],
    ),
    $at('Joining/Joinable.php', ['$w->zone > $unit->zones', '$w->zone > 9 + $unit->zones', 'Joining/JoinableTest.php']),
    $at('Joining/Needs.php', ['LADDER = 2.0;', 'LADDER = 3.0;', 'Joining/JoinableTest.php']),
    $at('Joining/Order/Costs.php', ['POWER = 3;', 'POWER = 4;', 'Joining/OrderTest.php']),
    $at('Joining/Order/Moves.php', ['Task::LINK && $joins', 'Task::READ && $joins', 'Joining/OrderTest.php']),
    $at('Joining/StandIn/Ear.php', ['PAUSE = 0.8;', 'PAUSE = 0.1;', 'Joining/TracesTest.php']),
    $at('Kit/Profiles/Behaviour.php', [
        'if ($this->gestures[$one]->likeness',
        'if (!$this->gestures[$one]->likeness',
        'Joining/GestureTest.php',
    ]),
    $at('Circuit/Conditions.php', ['RAIL = 0.1;', 'RAIL = 0.2;', 'Bench/MeterTest.php']),
    $at(
        'Bench/Channels/Leads.php',
        [
            'if (isset($this->order[$output]) && !in_array',
            'if (isset($this->order[$output]) && in_array',
            'Bench/ChannelsTest.php',
        ],
        ['array_push($driven, ...$this->short);', 'array_push($driven, $this->short[0]);', 'Bench/ChannelsTest.php'],
    ),
    $at(
        'Bench/Channels/Setting.php',
        ['=> range(0, 4),', '=> range(0, 0),', 'Bench/ChannelsTest.php'],
        ['=> [0, 1, 2],', '=> [0],', 'Bench/ChannelsTest.php'],
    ),
    $at(
        'Bench/Count/CountFinder.php',
        ['floor(0.75 * $set)', 'floor(0.8 * $set)', 'Bench/CountTest.php'],
        ['&& !self::boundary($sections, $lit)', '', 'Bench/CountTest.php'],
    ),
    $at(
        'Bench/Faults/Put.php',
        ['$r + $fault->size)', '$r * $fault->size)', 'Bench/MeterTest.php'],
        ['array_reverse($s->end)', '$s->end', 'Bench/MeterTest.php'],
    ),
    $at(
        'Schedule/TestTicks.php',
        ['if (count($done) === count($of))', 'if ($done !== [])', 'Bench/TestsTest.php'],
        ['> ($order[$test->step] ?? -1)', '< ($order[$test->step] ?? -1)', 'Bench/TestsTest.php'],
    ),
    $at(
        'Checks/Parts/PriceFindings.php',
        ['$terms->price($kit) === null &&', '$terms->price($kit) === 0.0 &&'],
        ['isset($used[$id]) &&', '!isset($used[$id]) &&'],
        ['$state->plan->terms->hourRate > 0 ||', '$state->plan->terms->hourRate >= 0 ||'],
        ['            unset($idle[$part->key]);', '            unset($idle[$part->name]);'],
        ['if ($foreign !== null)', 'if ($foreign === $terms->currency)'],
    ),
    $at(
        'Parts/Shortening.php',
        ['WORTH = 0.1;', 'WORTH = 0.05;', 'Parts/ShorteningTest.php'],
        ['SMALL = [500.0, 0.1]', 'SMALL = [700.0, 0.2]', 'Parts/ShorteningTest.php'],
    ),
    $at('Parts/Lengths.php', ['SAW = 3;', 'SAW = 2;', 'Parts/CornersTest.php']),
    $at('Plan/Bends.php', ['* ($run->part - 1);', '* $run->part;', 'Parts/CornersTest.php']),
    $at(
        'Rates/Joints.php',
        ['($at[$cable->to] ?? $cores) +', '$cores +', 'Costing/MovingTest.php'],
        ['FUSED = 2;', 'FUSED = 1;', 'Costing/MovingTest.php'],
    ),
    $at(
        'Rates/UnitCosts.php',
        ['return ceil(10 * $metres - 1e-9);', 'return round(10 * $metres);', 'Costing/MovingTest.php'],
        ['this->work(\'cables\', $metres);', 'this->work(\'cables\', 0.0);', 'Planner/ProposalTest.php'],
    ),
    $at(
        'Costing/Quote.php',
        ['(1 + $terms->markUp)', '(1 - $terms->markUp)', 'Costing/QuoteTest.php'],
        ['$net * $terms->tax', '$net * $terms->markUp', 'Costing/QuoteTest.php'],
    ),
    $at(
        'Schedule/Labour.php',
        ['$step->work * $people', '$step->minutes * $people', 'Costing/QuoteTest.php'],
        ['$terms->travelMinutes * $arrangement->journeys()', '$terms->travelMinutes', 'Costing/QuoteTest.php'],
    ),
    $at(
        'Checks/Site/StandingFindings.php',
        ['->length ?? -1.0) < $stands->at - 1e-9', '->length ?? -1.0) < 0.9 * $stands->at'],
        ['$sheet->site->spot($stands->spot) === null', 'false'],
        ['$mains->there || $mains->outlet !== null', '$mains->there || $sheet->slips !== []'],
        ['$share <= BoxRoom::FULL + 1e-9', '$share <= 1.0'],
    ),
    $at('Plan/BoxRoom.php', ['        sort($size);', ''], ['FULL = 0.6;', 'FULL = 0.7;']),
    $at(
        'Plan/Routes/CableWay.php',
        ['$this->along + $this->rise + self::SLACK', '$this->along + self::SLACK', 'Plan/PlacedTest.php'],
        ['if ($cable->reckoned && !$cable->existing', 'if (!$cable->existing', 'Plan/PlacedTest.php'],
    ),
    $at(
        'Plan/Routes/ExistingLegs.php',
        ['], $mains) === []', '], []) === []', 'Plan/LegsTest.php'],
        ['$from->pad === $to->pad', '$from->pad > $to->pad + 99999', 'Plan/LegsTest.php'],
    ),
    $at(
        'Checks/Kit/Complete.php',
        ['if ($lacking !== [] &&', 'if ($lacking === [null] &&'],
        ["code: 'cores'", "code: 'channels'"],
    ),
    $at(
        'Checks/Supply/SupplyVolts.php',
        ['< 0.5;', '< 0.7;'],
        ['< 0.5;', '< 0.4;'],
        ['$case->plan->suppliesOf($case->run);', 'array_slice($case->plan->suppliesOf($case->run), 0, 1);', $flows],
    ),
    $at(
        'Checks/Controller/Switching.php',
        ['?->switched() !== false', '?->switched() !== true'],
        ["code: 'controller-kind'", "code: 'channels'"],
    ),
    $at(
        'Checks/Controller/InputRange.php',
        ['$controller->inputLeast <= $volts', '1.02 * $controller->inputLeast <= $volts'],
        ['$volts <= $controller->inputMost;', '$volts <= 1.02 * $controller->inputMost;'],
        ['        return $findings;', '        return [];'],
    ),
    $at(
        'Checks/Controller/ControllerAmps.php',
        ['$load->fullest() / $controller->channelAmps,', '0.98 * $load->fullest() / $controller->channelAmps,'],
        ['$load->amps / $controller->totalAmps)', '0.0)'],
    ),
    $at(
        'Circuit/ControllerLoad.php',
        ['$run->controller === $id &&', '$channels === [] && $run->controller === $id &&'],
        ['max(array_sum($channels),', 'max(0.9 * array_sum($channels),'],
    ),
    $at(
        'Checks/Supply/Headroom.php',
        [
            'round($load->share(), 4) > round($job->plan->limits->usable(), 4)',
            'round($load->share(), 4) > 1.02 * $job->plan->limits->usable()',
        ],
        ['!$supply->battery() &&', '$supply->battery() &&'],
        ['$load->share() > 1 + 1e-9 ?', '$load->share() > 2 ?', $flows],
    ),
    $at(
        'Circuit/SupplyLoad.php',
        ['= $fitting->count *', '= 0 * $fitting->count *', $flows],
        ['($watts * $metres) / $marks->length()', '$watts', $flows],
        ['$feed->pad >= $from && $feed->pad < $to', '$feed->pad >= $from', $flows],
    ),
    $at('Plan/Limits.php', ['return 1 - $this->headroom;', 'return 1 - 0.9 * $this->headroom;']),
    $at('Checks/Supply/Cap.php', ['|| $run->capChecked', ''], ['$run->cap >= 1 ||', '$run->cap >= 0.5 ||']),
    $at('Checks/Supply/Peak.php', ['KNEE = 0.99', 'KNEE = 1.05'], ['KNEE = 0.99', 'KNEE = 0.9']),
    $at(
        'Checks/Solver/Solved.php',
        ['if ($refusal instanceof NoSolution)', 'if ($refusal === null)'],
        ["\$fixtures === [] ? 'unsolved' : 'collapse'", "'unsolved'"],
    ),
    $at(
        'Checks/Light/Evenness.php',
        ['$even >= $limit && !$range', '$even >= $limit - 0.009 && !$range'],
        ['round($result->evenness(), 4)', 'round($result->evenness() - 0.01, 4)'],
    ),
    $at(
        'Checks/Light/Seam.php',
        ['NEAR = 1.0', 'NEAR = 2.0'],
        ['NEAR = 1.0', 'NEAR = 0.5'],
        ['round($result->seam(), 4)', 'round(0.97 * $result->seam(), 4)'],
    ),
    $at(
        'Checks/Light/ColourShift.php',
        ['VISIBLE = 3.0', 'VISIBLE = 3.1'],
        ['VISIBLE = 3.0', 'VISIBLE = 2.9'],
        ['if ($shift <= self::VISIBLE)', 'if ($shift > 0)'],
    ),
    $at(
        'Checks/Supply/TwoPositives.php',
        ['$supply !== $before[0] && !$parted', '$supply !== $before[0]'],
        ['$supply !== $before[0] && !$parted', '$supply === $before[0] && !$parted'],
    ),
    $at(
        'Checks/Cable/Drop.php',
        ['round($feed->lost(), 4)', 'round(0.99 * $feed->lost(), 4)'],
        ['$drop <= $limit', '$drop <= 0.99 * $limit'],
    ),
    $at(
        'Checks/Protection/CableCapacity.php',
        ['$amps > $rating->amps)', '$amps > 1.1 * $rating->amps)'],
        ['if ($rating->asks)', 'if (!$rating->fixed)'],
        ['if ($rating->amps === null)', 'if ($rating->amps === -1.0)'],
    ),
    $at(
        'Plan/CableRating.php',
        ['30 => 1.0, 35 => 0.94, 40 => 0.87, 45 => 0.79', '30 => 1.0, 35 => 0.94, 40 => 0.87, 45 => 0.97', $flows],
        ['return $laid->existing ||', 'return', $flows],
    ),
    $at(
        'Survey/Conductor.php',
        ["'0.75' => 6.0,", "'0.75' => 60.0,"],
        ["self::ROWS[\$laid] ?? 'wall'", "self::ROWS[\$laid] ?? 'surface'", $flows],
        ["'1' => 11.5, '1.5' => 14.5", "'1' => 11.5, '1.5' => 20.0"],
    ),
    $at(
        'Checks/Protection/Fusing.php',
        ['$guard->amps <= $capacity', '$guard->amps <= 1.1 * $capacity'],
        ['$guard->stated || $guard->rated > $capacity', 'true', $flows],
        ['$guard->stated || $guard->rated > $capacity', '$guard->stated', $flows],
        ['$guard->battery && $laid->from', '!$guard->battery && $laid->from'],
    ),
    $at(
        'Checks/Protection/Guard.php',
        ['MARGIN = 1.25', 'MARGIN = 1.2'],
        ['MARGIN = 1.25', 'MARGIN = 1.3'],
        ['$supply->overloadStated ?? true', 'false', $flows],
    ),
    $at(
        'Checks/Protection/JointCapacity.php',
        ['round($result->openAmps, 4) <= $joint->amps', 'round($result->openAmps, 4) <= 1.1 * $joint->amps'],
        ['$joint === null ||', '$joint !== null ||'],
    ),
    $at(
        'Checks/Protection/RailCapacity.php',
        ['USUAL = 5.0', 'USUAL = 50.0'],
        ['USUAL = 5.0', 'USUAL = 4.9'],
        ['$stated ?? self::USUAL', 'self::USUAL', $flows],
    ),
    $at('Checks/Controller/Setting.php', ['$set === $wants ||', '$set !== $wants ||']),
    $at('Kit/Controller.php', ["SET_BY_HAND = ['switch', 'jumper'];", "SET_BY_HAND = ['jumper'];"]),
    $at(
        'Checks/Controller/Repeats.php',
        ['if ($before === null)', 'if ($before !== null)'],
        ['$one !== $two &&', '$one === $two &&'],
        ['$before->supply === $run->supply', '$before->supply !== $run->supply'],
    ),
    $at('Checks/Supply/Swing.php', ['MOST = 1.15', 'MOST = 1.2'], ['MOST = 1.15', 'MOST = 1.1']),
    $at(
        'Checks/Site/PresentFindings.php',
        ['$present->out !== null', '$present->out === null'],
        ['$amps <= $present->count', '$amps > $present->count'],
        ['$most >= $present->count - 1e-9', '$most >= 0'],
        ['?->family === $present->family', '?->family !== $present->family'],
    ),
    $at(
        'Checks/Kit/Items.php',
        ['$amps > $may', '$amps > 2 * $may'],
        ['$pins < $cores', '$pins > $cores'],
        ["=== 'none'", "!== 'none'"],
        ['$metres >= $run->length() - 1e-9', 'true'],
        ['$control->mains &&', 'false &&'],
        ['$families !== [] &&', '$families === [] &&'],
    ),
    $at('Circuit/SupplyLoad.php', ['$item->count * $kit', '$kit'], ["=== 'rearranged'", "!== 'rearranged'"]),
    $at(
        'Checks/Supply/Banks.php',
        ['$low >= $converter->inputLeast &&', ''],
        ['$high <= $converter->inputMost) {', 'true) {'],
        ['$least >= $converter->leastAmps', '$least >= 0'],
        ['abs($v - $block->volts) < 1e-9', 'true'],
        ['$unit->series < $battery->blocks', '$unit->series > $battery->blocks'],
        ['$bank === null', '$bank !== null'],
    ),
    $at(
        'Checks/Protection/SwitchRating.php',
        ['$amps > $switch->amps', '$amps > 2 * $switch->amps'],
        ['$volts > $switch->volts', '$volts > 2 * $switch->volts'],
    ),
    $at('Checks/Supply/NoMains.php', ['$site->batteries === [] ||', ''], ['$site->outlets !== [] ||', '']),
    $at(
        'Checks/Protection/Touch.php',
        ['DRY = 60.0', 'DRY = 600.0'],
        ['DAMP = 30.0', 'DAMP = 300.0'],
        ['DAMP = 30.0', 'DAMP = 29.0'],
    ),
    $at('Checks/Kit/Sealing.php', ['|| $sealed ||', '||'], ['!$case->plan->damp($run)', '$case->plan->damp($run)']),
    $at('Checks/Kit/Cooling.php', ['BARE = 15.0', 'BARE = 150.0'], ['BARE = 15.0', 'BARE = 14.9']),
    $at('Checks/Kit/HubAsked.php', ["=== 'zigbee'", "!== 'zigbee'"], ["=== 'zigbee'", "=== 'rf'"]),
    $at('Checks/Cable/Lengths.php', ['$laid->reckoned &&', '!$laid->reckoned &&'], ['$laid->reckoned &&', '']),
    $at(
        'Checks/Fixture/Lamps.php',
        ['$result->volts < $fixture->leastVolts', '$result->volts < 0.98 * $fixture->leastVolts'],
        ['$lost > $limit', '$lost > 1.05 * $limit'],
        ['->share() > 1', '->share() > 9', $flows],
    ),
    $at(
        'Checks/Fixture/Modules.php',
        ['$watts > $dimmer->mostWatts', '$watts > 1.1 * $dimmer->mostWatts'],
        ['$watts < $dimmer->leastWatts', '$watts < 0.9 * $dimmer->leastWatts'],
        ['ANALOG_EACH = 1.0', 'ANALOG_EACH = 0.5'],
        ['$count > $dimmer->addresses', '$count > 2 * $dimmer->addresses'],
        ['DALI_EACH = 2.0', 'DALI_EACH = 1.0'],
        ['$dimmer->relayAmps === null', '$dimmer->relayAmps !== null'],
    ),
    $at(
        'Checks/Light/Meets.php',
        ['$at->to($to) <= Seam::NEAR', '$at->to($to) > Seam::NEAR'],
        ['$plan->limits->seam)', '1.1 * $plan->limits->seam)'],
    ),
    $at(
        'Checks/Scene/SceneFindings.php',
        ['$result->evenness() < $limit', '$result->evenness() < 0.99 * $limit'],
        ['if ($result instanceof Refusal)', 'if ($result === null)'],
    ),
    $at(
        'Checks/Kit/TrialBoards.php',
        ['?? false) === true', '?? false) === false'],
        ["code: 'trial'", "code: 'trials'"],
    ),
    $at(
        'Checks/Join/NotJoined.php',
        ['!in_array($id,', 'in_array($id,'],
        ['?->profile !== null', '?->profile === null'],
    ),
    $at('Checks/Control/LimitFindings.php', ["code: 'app-room'", "code: 'app-rooms'"]),
    $at('Control/Limits.php', ['count($mine) <= $most', 'count($mine) < $most', 'Control/LimitsTest.php']),
    $at('Checks/Control/NameFindings.php', ["code: 'name'", "code: 'names'"]),
    $at('Control/Names.php', ['$letters > $this->letters', '$letters > 2 * $this->letters', 'Control/NamesTest.php']),
    $at('Control/Sound.php', ['$other->heard) === 1', '$other->heard) === 0', 'Control/NamesTest.php']),
    $at('Control/AnswerBoard.php', [
        '$want->zone > $control->zones =>',
        '$want->zone > 1 + $control->zones =>',
        'Control/AnswerBoardTest.php',
    ]),
    $at('Reach/Graph.php', ['$low[$node] >= $order[$parent]', '$low[$node] > $order[$parent]', 'Reach/ReachTest.php']),
    $at('Joining/Recovery.php', [
        '$control->memberOf(self::network($roster, $control))',
        '$control',
        'Joining/RecoveryTest.php',
    ]),
    $at('Joining/Practice/Score.php', ['$this->unmet === [] &&', '', 'Joining/PracticeTest.php']),
    $at('Checks/Join/Unjoinable.php', ['=> $b->code !== Blocked::NO_LIGHT', '=> $b->code === Blocked::NO_LIGHT']),
    $at(
        'Checks/Parts/AssemblyFindings.php',
        ['$makes > $takes + 1e-9', '$makes > 1.3 * $takes'],
        ["=== 'glue' &&", "!== 'glue' &&"],
    ),
    $at('Checks/Parts/PartFindings.php', ['$mark->late($state->today)', '!$mark->late($state->today)']),
    $at(
        'Checks/Schedule/ScheduleFindings.php',
        ['if ($schedule->circle() === null)', 'if (true)'],
        ['if ($outside !== [])', 'if ($outside === [])'],
    ),
    $at(
        'Checks/Site/SurveyFindings.php',
        ['!isset($words[$r->word])', 'isset($words[$r->word])'],
        ["trim(\$place->notes) === ''", "trim(\$place->notes) === '?'"],
    ),
    $at(
        'Checks/Site/SiteFindings.php',
        ['if ($site->damp !== null)', 'if ($site->damp === null)'],
        ["\$box->air === 'sealed'", "\$box->air === 'vented'"],
        ['if ($run->mounting === [])', 'if ($run->mounting !== [])'],
    ),
    $at(
        'Checks/Site/PowerFindings.php',
        ['if ($outlet->keyed)', 'if (!$outlet->keyed)'],
        ['!$l->traced && !$l->open', '$l->traced'],
        ['if ($leg->to === null)', 'if ($leg->to !== null)'],
    ),
    $at(
        'Checks/Site/BankFindings.php',
        ['$battery->wants === null', '$battery->wants !== null'],
        ['$bank->unbalances()', '!$bank->unbalances()'],
    ),
    $at('Circuit/States.php', ["'charging' => Conditions::rich()", "'charging' => Conditions::poor()", $flows]),
    $at(
        'Kit/Block.php',
        ['($this->ampHours * $parallel) / self::HOURS', '$this->ampHours / self::HOURS', 'Kit/BlockTest.php'],
        ['ampHours: $this->ampHours * $parallel', 'ampHours: $this->ampHours', 'Kit/BlockTest.php'],
    ),
    $at(
        'Circuit/CableFigures.php',
        ['$c->outAmps, \'A\', path: "{$cable}.outAmps"', '2 * $c->outAmps, \'A\', path: "{$cable}.outAmps"', $workings],
        ['$joint->ohms', '0.001', $workings],
    ),
    $at(
        'Circuit/RunFigures.php',
        [
            "\$r->loadWatts, 'W', path: 'solver.loadWatts'",
            "\$r->loadWatts + 1, 'W', path: 'solver.loadWatts'",
            $workings,
        ],
        ['$r->groupAmps($group),', '2 * $r->groupAmps($group),', $workings],
    ),
);
