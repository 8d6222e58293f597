<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Checks\Controller\InputRange;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Facts;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Values\NoSolution;

/** The pixel board of an option, by its way of control and its volts. */
final readonly class BoardChoice
{
    /**
     * A board for the data of pixels; none where the shelf has none at all, the client's own then.
     *
     * @throws NoSolution where those of the shelf have another way of control, or are for other volts
     */
    public static function for(Choice $choice, ShelfSource $shelf, string $control, float $volts): ?KitSnapshot
    {
        $boards = $shelf->ofKind('board');
        $fits = static fn(Controller $c): bool => $c->pixels?->trial === false && InputRange::takes($c, $volts);
        $board = $choice->least(
            $boards,
            Controller::class,
            static fn(Controller $c): bool => $c->family === $control && $fits($c),
        );
        if ($board === null && $boards !== []) {
            $ways = [];
            foreach (array_column($boards, 'entry') as $entry) {
                if ($entry instanceof Controller && $fits($entry)) {
                    $ways[$entry->family] = Facts::way($entry->family);
                }
            }
            throw new NoSolution(
                sprintf('No pixel board on the shelf is for %s at %g V.', Facts::way($control), $volts) .
                    ($ways === [] ? '' : ' There is one for ' . implode(', ', $ways) . '.'),
                '',
                ['kind' => 'board', 'inputMost' => sprintf('%g', $volts)],
            );
        }

        return $board;
    }
}
