<?php

declare(strict_types=1);

namespace Tests\Coverage;

use PhpParser\Node;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitorAbstract;
use PhpParser\ParserFactory;

/**
 * The branches of a source file: bodies of functions, of if, else and loops, cases, arms of a match and what an arrow function returns.
 * In the core not within a loop within a loop, where a note would take longer than what it counts.
 */
final class Branches
{
    /** @return list<int> lines at which the branches of a file begin, by their number */
    public static function lines(string $source, string $file): array
    {
        return array_column(self::found($source, $file), 2);
    }

    /** @return string the source with a note at the beginning of every branch, on the same lines */
    public static function noted(string $source, string $path, string $file): string
    {
        $puts = [];
        foreach (self::found($source, $file) as $number => [$from, $to]) {
            $note = '\Tests\Coverage\Seen::$at['.var_export($file, true)."][$number]=true";
            if ($to === null) {
                $puts[] = [$from, $number, "$note;"];
            } else {
                // The note is true, so that what follows is what counts.
                $puts[] = [$from, $number, "(($note)?("];
                $puts[] = [$to, -$number, '):null)'];
            }
        }
        usort($puts, static fn (array $a, array $b): int => [$b[0], $b[1]] <=> [$a[0], $a[1]]);
        foreach ($puts as [$at, , $text]) {
            $source = substr_replace($source, $text, $at, 0);
        }

        return strtr($source, ['__DIR__' => var_export(dirname($path), true), '__FILE__' => var_export($path, true)]);
    }

    /** @return list<array{int, ?int, int}> first byte, the byte after the last where it is an expression, and line */
    private static function found(string $source, string $file): array
    {
        $visitor = new class(str_starts_with($file, 'core/')) extends NodeVisitorAbstract
        {
            /** @var list<array{int, ?int, int}> */
            public array $found = [];

            private int $loops = 0;

            public function __construct(private readonly bool $sparing)
            {
            }

            public function enterNode(Node $node): null
            {
                if (self::isLoop($node)) {
                    $this->loops++;
                }
                $isBlock =
                    $node instanceof Node\Stmt\ClassMethod ||
                    $node instanceof Node\Expr\Closure ||
                    $node instanceof Node\Stmt\If_ ||
                    $node instanceof Node\Stmt\ElseIf_ ||
                    $node instanceof Node\Stmt\Else_ ||
                    self::isLoop($node) ||
                    $node instanceof Node\Stmt\Case_ ||
                    $node instanceof Node\Stmt\Catch_;
                $first = $isBlock ? $node->stmts[0] ?? null : null;
                $value = match (true) {
                    $node instanceof Node\Expr\ArrowFunction => $node->expr,
                    $node instanceof Node\MatchArm => $node->body,
                    default => null,
                };
                if ($this->sparing && $this->loops > 1) {
                    return null;
                }
                if ($first !== null) {
                    $this->found[] = [$first->getStartFilePos(), null, $first->getStartLine()];
                }
                if ($value !== null && ! ($node instanceof Node\Expr\ArrowFunction && $node->byRef)) {
                    $this->found[] = [$value->getStartFilePos(), $value->getEndFilePos() + 1, $value->getStartLine()];
                }

                return null;
            }

            public function leaveNode(Node $node): null
            {
                if (self::isLoop($node)) {
                    $this->loops--;
                }

                return null;
            }

            private static function isLoop(Node $node): bool
            {
                return $node instanceof Node\Stmt\For_ ||
                    $node instanceof Node\Stmt\Foreach_ ||
                    $node instanceof Node\Stmt\While_ ||
                    $node instanceof Node\Stmt\Do_;
            }
        };
        (new NodeTraverser($visitor))->traverse((array) (new ParserFactory())->createForNewestSupportedVersion()->parse($source));

        return $visitor->found;
    }
}
