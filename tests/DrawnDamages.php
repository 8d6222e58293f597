<?php

declare(strict_types=1);

namespace Tests;

use PhpParser\Node;
use PhpParser\Node\Expr\BinaryOp;
use PhpParser\Node\Scalar\Float_;
use PhpParser\Node\Scalar\Int_;
use PhpParser\Node\Stmt\If_;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/**
 * Damages to rules by rule, not by hand: a comparison turned round, a number moved by a tenth, a branch dropped. Each is a replacement of
 * bytes in one file.
 */
final readonly class DrawnDamages
{
    /** Operators and what each becomes. */
    private const TURNED = [
        '<' => '>=',
        '<=' => '>',
        '>' => '<=',
        '>=' => '<',
        '===' => '!==',
        '!==' => '===',
    ];

    /** Share by which a number is moved. */
    private const MOVED = 0.1;

    /** @param  string  $file  below core/src */
    private function __construct(
        public string $file,
        public int $from,
        public int $to,
        public string $becomes,
        public string $was,
    ) {}

    public function damaged(string $text): string
    {
        return substr($text, 0, $this->from) . $this->becomes . substr($text, $this->to + 1);
    }

    public function words(string $text): string
    {
        $line = 1 + substr_count(substr($text, 0, $this->from), "\n");
        $becomes = $this->becomes === '' ? 'nothing' : $this->becomes;

        return "{$this->file}:{$line}: {$this->was} became {$becomes}";
    }

    /**
     * So many damages, drawn evenly from all of some rooms.
     *
     * @param  list<string>  $rooms  of core/src
     * @return list<self>
     */
    public static function draw(string $source, array $rooms, int $count, int $seed): array
    {
        $all = [];
        foreach ($rooms as $room) {
            array_push($all, ...self::ofRoom($source, $room));
        }
        mt_srand($seed);
        $keys = array_keys($all);
        shuffle($keys);

        return array_map(static fn(int $key): self => $all[$key], array_slice($keys, 0, $count));
    }

    /** @return list<self> */
    private static function ofRoom(string $source, string $room): array
    {
        $files = [];
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("{$source}/{$room}")) as $file) {
            if ($file instanceof SplFileInfo && $file->getExtension() === 'php') {
                $files[] = $file->getPathname();
            }
        }
        sort($files);
        $damages = [];
        foreach ($files as $path) {
            $text = (string) file_get_contents($path);
            $tree = (new ParserFactory())->createForHostVersion()->parse($text) ?? [];
            $found = (new NodeFinder())->find($tree, static fn(Node $n): bool => true);
            foreach ($found as $node) {
                array_push($damages, ...self::ofNode(substr($path, strlen($source) + 1), $text, $node));
            }
        }

        return $damages;
    }

    /** @return list<self> */
    private static function ofNode(string $file, string $text, Node $node): array
    {
        $make = static fn(int $from, int $to, string $becomes): array => [
            new self(
                $file,
                $from,
                $to,
                $becomes,
                trim((string) preg_replace('/\s+/', ' ', substr($text, $from, $to + 1 - $from))),
            ),
        ];
        if ($node instanceof BinaryOp && isset(self::TURNED[$node->getOperatorSigil()])) {
            $between = [$node->left->getEndFilePos() + 1, $node->right->getStartFilePos() - 1];
            $sigil = $node->getOperatorSigil();
            $at = strpos(substr($text, $between[0], $between[1] - $between[0] + 1), $sigil);

            return $at === false
                ? []
                : $make($between[0] + $at, $between[0] + $at + strlen($sigil) - 1, self::TURNED[$sigil]);
        }
        // Noughts, ones and small counts are rarely a limit.
        if ($node instanceof Float_ && $node->value !== 0.0 && $node->value !== 1.0) {
            return $make(
                $node->getStartFilePos(),
                $node->getEndFilePos(),
                var_export($node->value * (1 + self::MOVED), true),
            );
        }
        if ($node instanceof Int_ && $node->value >= 10) {
            return $make(
                $node->getStartFilePos(),
                $node->getEndFilePos(),
                (string) (int) ceil($node->value * (1 + self::MOVED)),
            );
        }
        if ($node instanceof If_ && $node->else === null && $node->elseifs === []) {
            return $make($node->getStartFilePos(), $node->getEndFilePos(), '');
        }

        return [];
    }
}
