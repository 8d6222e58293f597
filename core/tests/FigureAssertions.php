<?php

declare(strict_types=1);

namespace EmberDusk\Tests;

use EmberDusk\Values\Figure;
use Symfony\Component\ExpressionLanguage\ExpressionFunction;
use Symfony\Component\ExpressionLanguage\ExpressionLanguage;

/** Holds shown numbers against their workings: an independent evaluator gives the shown formula with the shown inputs the shown value. */
trait FigureAssertions
{
    /** @param  list<array<string, mixed>>  $figures */
    private static function assertWorkings(array $figures): void
    {
        $language = new ExpressionLanguage();
        foreach (['min', 'max', 'sqrt', 'ceil', 'floor'] as $name) {
            $language->addFunction(ExpressionFunction::fromPhp($name));
        }
        foreach ($figures as $figure) {
            $inputs = [];
            foreach ($figure['inputs'] as $input) {
                $inputs[$input['symbol']] = (float) $input['text'];
            }
            $value = $language->evaluate($figure['formula'], $inputs);
            self::assertIsNumeric($value);
            if (str_contains($figure['text'], '.')) {
                $decimals = strlen($figure['text']) - (int) strpos($figure['text'], '.') - 1;
            } else {
                $decimals = 0;
            }
            self::assertSame(
                $figure['text'],
                Figure::print((float) $value, $decimals),
                $figure['label'] . ': ' . $figure['formula'],
            );
        }
    }

    /**
     * @param  array<array-key, mixed>  $tree
     * @return list<array<string, mixed>>
     */
    private static function figuresIn(array $tree): array
    {
        if (isset($tree['formula'])) {
            return [$tree];
        }

        return array_merge(
            ...array_values(array_map(static fn(mixed $v): array => is_array($v) ? self::figuresIn($v) : [], $tree)),
            ...[[]],
        );
    }

    /**
     * All figures of a picture, as sent.
     *
     * @param  array<string, mixed>  $picture
     * @return list<array<string, mixed>>
     */
    private static function sent(array $picture): array
    {
        $plain = json_decode(json_encode($picture, JSON_THROW_ON_ERROR), true);
        self::assertIsArray($plain);

        return self::figuresIn($plain);
    }
}
