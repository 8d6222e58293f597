<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Joining\Guide\LoggedState;
use EmberDusk\Survey\Length;

/** Printable steps of a run: a reader who follows the text alone does everything that the run did. */
final readonly class Instructions
{
    public function __construct(private Roster $roster) {}

    /** One step with its distance, its names, the seconds that it takes or leaves, and the sign to look for. */
    public function text(JoinStep $step): string
    {
        $sentences = [$this->distance($step), $this->action($step), $this->time($step), $this->sign($step)];
        if ($step->then !== null) {
            $sentences[] = $this->sign($step->then);
        }

        return implode(' ', array_filter($sentences));
    }

    private function distance(JoinStep $step): string
    {
        foreach ($step->acts as $act) {
            if ($act->kind === Act::NEAR && $act->text !== '' && !$this->roster->unit($act->device)->lights()) {
                [$to, $metres] = explode(' ', $act->text);

                return "Hold {$this->label($act->device)} within " .
                    Length::near((float) $metres) .
                    " of {$this->label($to)}.";
            }
        }

        return '';
    }

    private function action(JoinStep $step): string
    {
        if ($step->look === Look::Name) {
            $unit = $this->roster->unit($step->device);

            return rtrim($step->title, '.') .
                " “{$unit->name}”" .
                ($unit->room === '' ? '.' : ", room “{$unit->room}”.");
        }
        // Nothing is done: the sign says where to look.
        if ($step->look === Look::Lamp && $step->acts === []) {
            return '';
        }
        $title = $this->inApp($step);

        return in_array(substr($title, -1), ['.', '?'], true) ? $title : "{$title}.";
    }

    /** The title with the device whose app is used: a job may have several hubs. */
    private function inApp(JoinStep $step): string
    {
        $title = $step->title;
        foreach ($step->acts as $act) {
            $of = $act->device === Roster::PHONE ? '' : $this->label($act->device);
            if ($act->kind === Act::TAP && $of !== '' && !str_contains($title, $of)) {
                $at = strpos($title, ':') ?: strlen($title);

                return substr($title, 0, $at) . " ({$of})" . substr($title, $at);
            }
        }

        return $title;
    }

    private function time(JoinStep $step): string
    {
        $said = [];
        if ($step->before > 0.0) {
            $said[] = sprintf('Allow %g s to get there in the app.', $step->before);
        }
        foreach ($step->acts as $act) {
            if ($act->kind === Act::TAP && explode(' ', $act->text)[0] === 'search' && $step->look === Look::Hand) {
                $said[] = sprintf(
                    'It searches for %g s: do the next steps meanwhile.',
                    $this->roster->unit($act->device)->leaflet->figure('search') ?? LoggedState::SEARCH,
                );
            }
        }

        return implode(' ', $said);
    }

    private function sign(JoinStep $step): string
    {
        if (in_array($step->look, [Look::Hand, Look::Name], true)) {
            return '';
        }
        if ($step->expects === '') {
            return $step->waits > 0.0 ? sprintf('Allow %g s.', $step->waits) : '';
        }
        $sign = $step->expects;
        if ($step->look === Look::Lamp && $step->watches !== '') {
            $sign = "{$this->label($step->watches)} shows {$sign}";
        }

        return "Expect: {$sign}" . ($step->waits > 0.0 ? sprintf(', within %g s.', $step->waits) : '.');
    }

    private function label(string $id): string
    {
        return $this->roster->unit($id)->label();
    }
}
