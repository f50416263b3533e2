<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Words;

use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\Node\InterpolatedStringPart;
use PhpParser\Node\Scalar\InterpolatedString;
use PhpParser\Node\Scalar\String_;

/** Sentences that are pieced together from words and figures. Those of a fault of our own are for us alone, in English. */
final readonly class Sentences
{
    private const FIGURE = "\u{25CA}";

    /** A word, or the sign of a unit, with a space before or behind it. */
    private const WORDED = '/\s[\pL°%]|[\pL°%,;:]\s/u';

    private const COMPOSING = ['sprintf', 'vsprintf'];

    /** @return list<string> where each of them stands */
    public static function in(Sources $sources): array
    {
        $found = [];
        foreach ([...$sources->all(InterpolatedString::class), ...$sources->all(Expr\BinaryOp\Concat::class), ...$sources->all(Expr\FuncCall::class)] as [$path, $node]) {
            if (! $node->getAttribute('parent') instanceof Expr\BinaryOp\Concat && self::isSentence($node) && ! self::isFault($node)) {
                $found[] = "{$path}:{$node->getStartLine()}";
            }
        }

        return $found;
    }

    private static function isSentence(Node $node): bool
    {
        if (! $node instanceof Expr\FuncCall) {
            return self::isWorded(self::text($node));
        }
        $name = $node->name instanceof Node\Name ? $node->name->toString() : '';
        $first = $node->getArgs()[0] ?? null;

        return in_array($name, self::COMPOSING, true) && $first?->value instanceof String_
            && self::isWorded((string) preg_replace('/%[-+0-9.]*[a-z]/', self::FIGURE, $first->value->value));
    }

    private static function isWorded(string $text): bool
    {
        // Markup is drawn, not read.
        $text = (string) preg_replace('/<[^>]*>/', '', $text);

        return str_contains($text, self::FIGURE) && preg_match(self::WORDED, $text) === 1;
    }

    /** The text of an expression, with a sign for each of its figures. */
    private static function text(Node $node): string
    {
        return match (true) {
            $node instanceof String_, $node instanceof InterpolatedStringPart => $node->value,
            $node instanceof InterpolatedString => implode('', array_map(self::text(...), $node->parts)),
            $node instanceof Expr\BinaryOp\Concat => self::text($node->left).self::text($node->right),
            default => self::FIGURE,
        };
    }

    private static function isFault(Node $node): bool
    {
        $new = Sources::around($node, Expr\New_::class);

        return $new?->class instanceof Node\Name && is_a($new->class->toString(), \LogicException::class, true);
    }
}
