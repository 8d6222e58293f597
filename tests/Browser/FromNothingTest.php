<?php

declare(strict_types=1);

namespace Tests\Browser;

use Closure;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Key;
use Facebook\WebDriver\WebDriverSelect;

/** A job that begins on the phone to the client: no tape, a battery, and a light curve a few actions later. */
final class FromNothingTest extends BrowserTestCase
{
    public function test_a_cart_on_batteries_goes_from_a_name_to_its_light(): void
    {
        $this->begin('Kiln cart');
        $this->find('[placeholder="5.20"]')->sendKeys('3,4');
        $this->click(fn() => $this->button('a vehicle'));
        $this->find('[aria-label="Battery blocks"]')->sendKeys('3 of 8 V');
        $this->assertAccessible('a job without measured walls');
        $this->click(fn() => $this->button('Choose the kit'));
        $this->see('Converter 18-32 V to 12 V');
        $this->click(fn() => $this->button('Choose B'));
        $this->dontSee('Rail lacks');
        $this->click(fn() => $this->button('Choose parts'));
        $this->see('In-line switch');
        $this->press('e');
        $this->find('[placeholder="remote, plug, set"]')->sendKeys('eight zones');
        $this->click(fn() => $this->button('Add'));
        $this->find('[data-item=i1]');
        $this->assertAccessible('kit, also in the job');
        $this->press(Key::ESCAPE);
        $this->open('/jobs/3/wire');
        $this->find('[data-feed]');
        $this->find('[data-figure="Evenness"]');
        // Three volts of the bank side by side, the cable from it to its converter among the others.
        $this->see('on charge');
        $this->see('28.8');
        $this->see('S2 to S1');
    }

    /** Three answers instead of a table of parts: the options that suit, with the remote that was asked for. */
    public function test_three_answers_lead_to_the_options_that_suit(): void
    {
        $this->shelf('Hall shelf', 'warm to cool white', 'a remote', function (): void {
            $this->see('Zigbee remote, four zones');
            $this->assertAccessible('options for three answers');
        });
        // In the job: it is bought, joined and handed over.
        $this->see('Other items 1');
    }

    /** A vehicle: its battery is there and live with the key, its signals start what lights up, and nothing is of the mains. */
    public function test_a_trike_goes_from_its_key_to_its_signal_wires(): void
    {
        $this->begin('Bread trike');
        $this->click(fn() => $this->button('a vehicle'));
        $this->dontSee('the mains');
        $this->click(fn() => $this->radio('live with the key only'));
        $this->find('[placeholder="5.20"]')->sendKeys('1,2');
        $this->find('[aria-label="Battery blocks"]')->sendKeys('1 of 12 V, 40 Ah');
        $this->assertAccessible('a job on a vehicle');
        $this->click(fn() => $this->button('Choose the kit'));
        $this->click(fn() => $this->button('moving colours'));
        $this->click(fn() => $this->button('a phone'));
        $this->click(fn() => $this->button('accent light'));
        $this->see('Pixel board for vehicles');
        $this->click(fn() => $this->button('Choose A'));
        $this->dontSee('Rail lacks');
        $job = $this->job();
        $this->change($job, [
            'kind' => 'ReviseNotes',
            'place' => 'place1',
            'text' =>
                "said\nstart\n1.200 rail\nbattery E1 at 0.1, 1 of 12 V, 40 Ah, fitted, key\nbox B1 at 1.1, 20x20x8, sealed\n" .
                "signal brake under the seat at 0.40, found\nsignal left at 0.80\nrun rail, moving",
        ]);
        $this->change($job, [
            'kind' => 'PlaceDevice',
            'device' => 'c1',
            'stands' => ['place' => 'place1', 'spot' => 'B1'],
        ]);
        $this->open("/jobs/{$job}/survey");
        $this->see('under the seat');
        $this->see('live with the key only');
        $this->assertAccessible('signals of a vehicle in the notes');
        $this->change($job, [
            'kind' => 'SetScene',
            'scene' => null,
            'name' => 'Glow',
            'levels' => [['of' => 'rail', 'duties' => [0.4, 0, 0]]],
        ]);
        foreach (['brake', 'left'] as $by) {
            $this->change($job, [
                'kind' => 'SetTrigger',
                'trigger' => null,
                'by' => $by,
                'on' => '',
                'days' => [],
                'minutes' => 0,
                'plays' => 'e1',
                'priority' => 3,
                'after' => 0,
            ]);
        }
        $this->open("/jobs/{$job}/parts");
        $this->click(
            fn() => $this->find('main')->findElement(WebDriverBy::xpath("//*[normalize-space(text())='for 3 things']")),
        );
        $this->see('brake wire of the vehicle to C1, 1.00 m');
        // It is there already and not bought.
        $this->dontSee('Deep-cycle block');
        $this->open("/jobs/{$job}/wire");
        $this->see('Signal wires to C1: brake from under the seat, 1.00 m · left');
        $this->open("/jobs/{$job}/build");
        $this->see('Brake wire: lay it to C1');
        $this->see('Left wire: find it with the meter, lay it to C1');
        $this->open("/jobs/{$job}/bench");
        $this->see('Brake signal');
        $this->twins($job);
        $this->open("/jobs/{$job}/handover");
        $this->see('Output 2');
        $this->see('First place pixels (C1)');
        $this->see('signal: left');
        $this->see('Left indicator: Glow');
    }

    /** Two short runs more, on the second output of the board: a splitter gives both the same data. The brake starts nothing any more. */
    private function twins(int $job): void
    {
        $this->change($job, [
            'kind' => 'ReviseNotes',
            'place' => 'place1',
            'text' =>
                "said\nstart\n1.200 rail\nbattery E1 at 0.1, 1 of 12 V, 40 Ah, fitted, key\nbox B1 at 1.1, 20x20x8, sealed\n" .
                "signal brake under the seat at 0.40, found\nsignal left at 0.80\nright 0.40 lamp\nright 0.40 twin\nrun rail, moving",
        ]);
        foreach (['lamp', 'twin'] as $run) {
            $this->change($job, ['kind' => 'ChooseKit', 'run' => $run, 'kit' => 'pixels-12-rgb']);
            $this->change($job, ['kind' => 'ShareKit', 'run' => $run, 'with' => 'c1']);
            $this->change($job, ['kind' => 'ChooseKit', 'run' => $run, 'kit' => 'cable-3x15']);
        }
        $this->change($job, [
            'kind' => 'ArrangeData',
            'board' => 'c1',
            'lines' => [['runs' => ['rail']], ['runs' => ['lamp']], ['runs' => ['twin'], 'mirrors' => 1]],
        ]);
        $this->change($job, ['kind' => 'SetTrigger', 'trigger' => 't1', 'gone' => true]);
    }

    /** Six sections of pixels, each with its own kit, on one board and one supply in one action. */
    public function test_six_sections_of_pixels_share_one_board(): void
    {
        $this->signIn();
        $this->press('n');
        $this->find('[role=dialog] input')->sendKeys('Reed ring');
        $this->find('[placeholder="Lecture room"]')->sendKeys('Deck');
        $this->click(fn() => $this->button('Start the survey'));
        $this->see('Reed ring');
        $job = $this->job();
        $this->change($job, [
            'kind' => 'ReviseNotes',
            'place' => 'place1',
            'text' =>
                "start gate\n1.0 one\nright 0.8 two\nright 0.7 three\nleft 0.6 four\n0.5 five\n0.4 six\noutlet P1 at 0.1\ndry",
        ]);
        foreach (['one', 'two', 'three', 'four', 'five', 'six'] as $run) {
            foreach (['pixels-24-rgb', 'supply-24-60', 'board-screw', 'cable-3x15'] as $kit) {
                $this->change($job, ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $kit]);
            }
        }
        $this->open("/jobs/{$job}/kit");
        $this->press('k');
        $this->click(fn() => $this->find('[role=tab]:nth-child(2)'));
        $this->see('6 runs of Deck on C');
        $this->assertAccessible('one board for all runs of a place');
        $this->click(fn() => $this->button('6 runs of Deck on C'));
        $this->dontSee('6 runs of Deck on C');
        // Each section is a light of its own in a scene, and keeps its preset on the board.
        foreach (['Dusk' => 'one', 'Path' => 'six'] as $scene => $run) {
            $this->change($job, [
                'kind' => 'SetScene',
                'scene' => null,
                'name' => $scene,
                'levels' => [['of' => $run, 'duties' => [0.4]]],
            ]);
        }
        $this->open("/jobs/{$job}/wire");
        $this->find('[data-feed]');
        $this->see('One');
        $this->open("/jobs/{$job}/scenes");
        $this->click(fn() => $this->button('Scenes and shows'));
        $this->see('Dusk');
        $this->open("/jobs/{$job}/handover");
        $this->see('Output 1');
        $this->see('Path');
    }

    /** Six sections between beams, fed by the old leg behind them: one run, one board, a light and a preset for each section. */
    public function test_six_sections_over_an_existing_leg_are_six_lights(): void
    {
        $this->signIn();
        $this->press('n');
        $this->find('[role=dialog] input')->sendKeys('Net loft');
        $this->find('[placeholder="Lecture room"]')->sendKeys('Loft');
        $this->click(fn() => $this->button('Start the survey'));
        $this->see('Net loft');
        $job = $this->job();
        $gaps = implode(', ', array_map(static fn(int $n): string => "gap 0.20 at {$n}.00 beam", range(1, 5)));
        $this->change($job, [
            'kind' => 'ReviseNotes',
            'place' => 'place1',
            'text' =>
                "start door\n6.00 band, {$gaps}\noutlet P1 at 0.10\nbox B1 at 0.30, 30x30x12, vented\n" .
                "box B2 at 2.90, 10x10x5\nbox B3 at 5.90, 10x10x5\n" .
                "leg A B1 to B2 3x1.5 2.70, wall, traced\nleg B B2 to B3 3x1.5 3.20, wall, traced\ndry",
        ]);
        foreach (['pixels-24-rgb', 'supply-24-100', 'board-screw', 'cable-3x15'] as $kit) {
            $this->change($job, ['kind' => 'ChooseKit', 'run' => 'band', 'kit' => $kit]);
        }
        $this->open("/jobs/{$job}/wire");
        $this->find('[data-feed]');
        $this->click(fn() => $this->button('Feed it by legs A, B as one trunk, both ends of each section tapped'));
        $this->see('existing');
        $this->press('g');
        $this->see('pixels, counted');
        $parts = $this->find('[role=dialog] input');
        $parts->sendKeys([Key::CONTROL, 'a', Key::NULL, '6']);
        $this->click(fn() => $this->button('Divide'));
        $this->find('[aria-label="Name of segment 6"]');
        $this->click(fn() => $this->button('Save segments'));
        $this->dontSee('pixels, counted');
        $this->see('Band 6');
        foreach (range(1, 6) as $n) {
            $this->change($job, [
                'kind' => 'SetScene',
                'scene' => null,
                'name' => "Section {$n}",
                'levels' => [['of' => "sg{$n}", 'duties' => [0.4]]],
            ]);
        }
        $this->open("/jobs/{$job}/build");
        $this->see('Disconnect and trace every leg');
        $this->open("/jobs/{$job}/handover");
        $this->see('Segment “Band 6”');
        $this->see('Section 6');
    }

    /** Pixels of 5 V on a small board and a charger: what its 2.4 A can light is limited in the board, and said at each step. */
    public function test_pixels_on_a_charger_go_from_empty_to_the_sheet(): void
    {
        $job = $this->shelf('Moth lamp', 'moving colours', 'a phone', metres: '1');
        foreach (['pixels-5-rgb', 'supply-5-12', 'board-trial'] as $kit) {
            $this->change($job, ['kind' => 'ChooseKit', 'run' => 'shelf', 'kit' => $kit]);
        }
        $this->open("/jobs/{$job}/kit");
        $this->see('12.0 W with all at full');
        $this->see('Use 5 V supply, 20 A');
        $this->click(fn() => $this->button('Set a limit of'));
        $this->dontSee('12.0 W with all at full');
        $this->open("/jobs/{$job}/wire");
        $this->find('[data-feed]');
        $this->open("/jobs/{$job}/build");
        $this->see('order of the colours, count, limit');
        $this->open("/jobs/{$job}/bench");
        $this->see('Limit, 50 %');
        $this->open("/jobs/{$job}/join");
        $this->see('Set the limit of C1 to 50 %, then check it');
        $this->open("/jobs/{$job}/handover");
        $this->see('Current limit: 1800 mA');
    }

    /** One run of pixels as two lights: named, one reversed, in the board’s settings and in a scene of their own. */
    public function test_a_run_of_pixels_is_divided_into_segments(): void
    {
        $job = $this->shelf('Star shelf', 'moving colours', 'a phone');
        $this->open("/jobs/{$job}/wire");
        $this->find('[data-feed]');
        $this->press('g');
        $this->see('pixels, counted');
        preg_match('/(\d+) pixels, counted/', $this->find('[role=dialog]')->getText(), $said);
        $pixels = (int) ($said[1] ?? 0);
        $this->click(fn() => $this->button('Divide'));
        $name = $this->find('[aria-label="Name of segment 1"]');
        $name->sendKeys([Key::CONTROL, 'a', Key::NULL, 'Near stars']);
        $this->assertAccessible('segments of a run');
        $this->click(fn() => $this->button('Save segments'));
        $this->dontSee('pixels, counted');
        $this->click(fn() => $this->button('Play a running light'));
        $this->find('canvas[data-frames]');
        $this->click(fn() => $this->button('Stop'));
        $this->change($job, [
            'kind' => 'SetScene',
            'scene' => null,
            'name' => 'Stars',
            'levels' => [['of' => 'sg1', 'duties' => [0.5]]],
        ]);
        $this->open("/jobs/{$job}/scenes");
        $this->click(fn() => $this->button('Scenes and shows'));
        $this->click(fn() => $this->button('Edit'));
        $this->see('Near stars');
        $this->open("/jobs/{$job}/handover");
        $this->see('Segment “Near stars”: start 0, ' . intdiv($pixels, 2) . ' pixels');
    }

    /** A strip, phase-cut lamps of a mesh and 0-10 V lights in one room: wired, tested, joined and in one scene. */
    public function test_lamps_of_three_dimming_methods_go_from_empty_to_the_sheet(): void
    {
        $job = $this->shelf('Reading room', 'warm to cool white', 'a phone');
        $this->open("/jobs/{$job}/wire");
        $this->fixture('Porch lamp 9 W, phase-cut', '4', 'X1');
        $this->fixture('Bench light 36 W, 0-10 V', '3', 'X2');
        $this->choose('Supply or module of X1', 'Use Bluetooth mesh phase-cut module, 150 W of LED');
        $this->choose('Supply or module of X2', 'Use Zigbee module, 0-10 V or DALI by switch');
        $this->click(fn() => $this->button('M2 is set to 0-10 V'));
        $this->dontSee('M2: set its switch to 0-10 V');
        $this->click(fn() => $this->button('Control line of 2 x 0.75 mm²'));
        $length = $this->find('[aria-label="Length of K3 in metres"]');
        $length->sendKeys([Key::CONTROL, 'a', Key::NULL, '18,5', Key::TAB]);
        $this->see('control line K3, 18.50 m');
        $this->assertAccessible('fixtures and their control line');
        $this->open("/jobs/{$job}/build");
        $this->see('M2: fix the dimming module');
        $this->see('M2: set its switch to 0-10 V');
        $this->see('Bench light 36 W, 0-10 V: lay cables');
        $this->open("/jobs/{$job}/bench");
        $this->see('First place lamps X2');
        $this->change($job, [
            'kind' => 'SetScene',
            'scene' => null,
            'name' => 'Evening',
            'levels' => [
                ['of' => 'shelf', 'duties' => [0.5, 0.2]],
                ['of' => 'm1', 'duties' => [0.3]],
                ['of' => 'm2', 'duties' => [0.4]],
            ],
        ]);
        $this->open("/jobs/{$job}/join");
        $this->see('first place lamps x2');
        $this->open("/jobs/{$job}/handover");
        $this->see('First place lamps X1');
        $this->see('Evening');
    }

    private function fixture(string $name, string $count, string $id): void
    {
        $field = $this->find('form input[inputmode=numeric]');
        $field->clear();
        $field->sendKeys($count);
        $this->pick('fixture-kit', $name);
        $this->pick('fixture-place', 'First place');
        $this->click(fn() => $this->button('Add'));
        $this->find("[aria-label^=\"Number of {$id};\"]");
    }

    private function pick(string $id, string $label): void
    {
        (new WebDriverSelect($this->find("#{$id}")))->selectByVisibleText($label);
    }

    private function choose(string $label, string $option): void
    {
        (new WebDriverSelect($this->find("[aria-label=\"{$label}\"]")))->selectByVisibleText($option);
    }

    /** The dialog of a new job whose walls are measured later. */
    private function begin(string $name): void
    {
        $this->signIn();
        $this->press('n');
        $this->find('[role=dialog] input')->sendKeys($name);
        $this->click(fn() => $this->radio('measure the walls later'));
    }

    /** A new job with a shelf, its first option chosen after three answers; its id. */
    private function shelf(
        string $name,
        string $colour,
        string $by,
        ?Closure $options = null,
        string $metres = '3',
    ): int {
        $this->begin($name);
        $this->click(fn() => $this->button('a shelf'));
        $this->find('[placeholder="5.20"]')->sendKeys($metres);
        $this->click(fn() => $this->button('Choose the kit'));
        $this->see('Three answers show the options that suit');
        foreach ([$colour, $by, 'accent light'] as $answer) {
            $this->click(fn() => $this->button($answer));
        }
        $this->dontSee('Three answers show');
        $this->find('[data-options]');
        $options?->call($this);
        $this->click(fn() => $this->button('Choose A'));
        $this->dontSee('Shelf lacks');

        return $this->job();
    }

    /** Id of the job whose stage is open. */
    private function job(): int
    {
        return (int) basename(dirname((string) parse_url($this->browser()->driver->getCurrentURL(), PHP_URL_PATH)));
    }

    private function radio(string $label): \Facebook\WebDriver\Remote\RemoteWebElement
    {
        return $this->browser()->driver->findElement(
            WebDriverBy::xpath("//label[contains(normalize-space(.), '{$label}')]/input[@type='radio']"),
        );
    }
}
