<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverKeys as Key;

/**
 * From an empty job and the paper notes of a narrowboat cabin to a surveyed site, traced legs and a kit chosen for
 * reasons: a phone for the survey, a desk for the kit.
 */
final class NarrowboatTest extends BrowserTestCase
{
    private const CABIN =
        "high 6 ft 3 in\ndamp\nstart bow door\n12 ft 8 in port, gap 1 ft 10 in at 4 ft 2 in window\nbox B1 " .
        "side locker at 1 ft 6 in, 12x9x5 in, vented, hand\n" .
        "right 6 ft 2 1/2 in\nright 12 ft 8 in star\nright 6 ft 2 1/2 in\nclose\nleg A B1 to port 2x2.5 9 ft " .
        "2 in, free\nleg B B1 to star 2x2.5 21 ft, free, guessed\nleg C B1 to bow 3x1.5, free";

    public function test_the_cabin_is_surveyed_on_a_phone_and_its_kit_chosen_at_a_desk(): void
    {
        $this->signIn();
        $this->browser()->size(390, 844);
        $this->click(fn() => $this->find('button.press'));
        $this->press('Narrowboat', Key::TAB, 'Boat share', Key::TAB, 'Cabin', Key::ENTER);
        $this->see('is not measured yet');
        $this->survey();
        $this->trace();
        $this->photo();
        $this->battery();
        $this->browser()->size(1280, 800);
        $this->kit();
    }

    private function survey(): void
    {
        $area = $this->find('textarea');
        $area->click();
        $area->sendKeys(self::CABIN);
        $this->see('2 x 2.5 mm² 9 ft 2 in');
        $this->assertAccessible('survey of the cabin on a phone');
        // A word under the thumb goes in where the caret stands; mounting is one press and lands in the notes.
        $this->click(fn() => $this->button('next line'));
        $this->press('wifi 11');
        $this->see('Wi-Fi channel 11');
        $this->click(fn() => $this->button('profile'));
        $this->click(fn() => $this->button('main light'));
        $this->eventually(
            fn(): bool => str_contains(
                (string) $this->find('textarea')->getAttribute('value'),
                'run port, profile, main light',
            ),
            'mounting is not in the notes',
        );
        // The lengths are kept in feet and inches: one in metres is a slip at its word.
        $this->find('textarea')->sendKeys("\nhigh 1.9");
        $this->see('These notes use feet and inches');
        $this->find('textarea')->sendKeys(array_fill(0, 9, Key::BACKSPACE));
        $this->dontSee('These notes use feet and inches');
    }

    private function trace(): void
    {
        // In truth end 1 is leg C, end 2 leg A and end 3 leg B, and leg C has its core 3 broken.
        $truth = [1 => 'C', 2 => 'A', 3 => 'B'];
        $this->click(fn() => $this->button('Trace the legs from B1'));
        $this->see('prove dead');
        $this->assertAccessible('trace, caution');
        $this->click(fn() => $this->button('Everything is off and disconnected'));
        for ($n = 0; $n < 30 && !str_contains($this->text(), 'Found with'); $n++) {
            $this->find('.big');
            if (
                preg_match('/(?:far end of|as they are:) (.+?)(?:; open|\.)/u', $this->text(), $linked) !== 1 ||
                preg_match('/on cores (\d) and (\d) of end (\d)/', $this->text(), $probe) !== 1
            ) {
                self::fail('No measurement is asked for: ' . $this->text());
            }
            $leg = $truth[(int) $probe[3]];
            $tone =
                str_contains($linked[1], "{$leg}: ") && !($leg === 'C' && in_array('3', [$probe[1], $probe[2]], true));
            $asked = $n + 1;
            $this->click(fn() => $this->button($tone ? 'Tone' : 'No tone'));
            $this->eventually(
                fn(): bool => str_contains($this->text(), "Measured so far: {$asked}") ||
                    preg_match('/Found with/', $this->text()) === 1,
                'the answer was not taken',
            );
        }
        $this->see('Found with');
        $this->assertAccessible('trace, found');
        $this->click(fn() => $this->button('Add to the notes'));
        $written = [
            'leg A B1 to port 2x2.5 9 ft 2 in, free, traced',
            'leg C B1 to bow 3x1.5, free, traced, core 3 broken',
        ];
        foreach ($written as $leg) {
            $this->eventually(
                fn(): bool => str_contains((string) $this->find('textarea')->getAttribute('value'), $leg),
                "the notes do not say “{$leg}”",
            );
        }
        $this->see('Leg C: core 3 is broken');
    }

    private function photo(): void
    {
        $file = sys_get_temp_dir() . '/ember-locker-' . getmypid() . '.png';
        $image = imagecreatetruecolor(2400, 1200);
        imagefill($image, 0, 0, (int) imagecolorallocate($image, 120, 80, 60));
        imagepng($image, $file);
        $input = $this->filePicker('input[type=file][accept="image/*"]');
        $input->setFileDetector(new LocalFileDetector())->sendKeys($file);
        $this->eventually(
            fn(): bool => $this->browser()->driver->executeScript(
                'const i = document.querySelector("section li img"); return i?.complete && [i.naturalWidth, i.naturalHeight].join()',
            ) === '1600,800',
            'the photo is not there, or not made smaller',
        );
        file_put_contents($file, 'no photo at all');
        $input->sendKeys($file);
        $this->see('This photo cannot be read');
        $this->expectedErrors = ['422'];
        unlink($file);
    }

    private function battery(): void
    {
        $this->click(fn() => $this->button('Add a place'));
        $this->find('[role=dialog] input')->sendKeys(['Engine space', Key::ENTER]);
        $this->see('Engine space is not measured yet');
        $this->find('textarea')->sendKeys("damp\nbattery E1 port side, 3 of 8 V, 165 Ah, want 12 V");
        $this->see('E1 has no tap at 12 V');
        $this->see('Converter 18-32 V to 12 V');
        $this->assertAccessible('survey of a battery on a phone');
    }

    private function kit(): void
    {
        $this->click(fn() => $this->find('nav[aria-label=Stages] a:nth-child(2)'));
        $this->see('Options for ');
        $this->see('Choose A');
        $this->see('C1: set its switch to RGBW');
        $this->assertAccessible('kit, options of the cabin');
        // B is asked for at 24 V instead of 12, which its strip, supply and load follow.
        $this->click(fn() => $this->find('select[aria-label="Volts of option B"] option[value="24"]'));
        $this->eventually(
            fn(): bool => substr_count($this->text(), 'Single colour 24 V') === 2,
            'option B did not follow',
        );
        $this->click(fn() => $this->button('Choose A'));
        $this->dontSee('Port lacks a strip');
        $this->click(fn() => $this->button('Choose parts'));
        $this->see('Chosen');
        $this->see('Load, all full');
    }
}
