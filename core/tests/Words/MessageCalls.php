<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Words;

use Harmozon\Core\Words\Message;
use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\Node\FunctionLike;
use PhpParser\Node\Scalar\String_;
use PhpParser\NodeFinder;

/** Follows every Message::of(…) back to the codes and figures it may be given. */
final readonly class MessageCalls
{
    /** @return list<MessageCall> */
    public static function in(Sources $sources): array
    {
        $calls = [];
        foreach ($sources->all(Expr\StaticCall::class) as [$path, $call]) {
            $isMessage = $call->class instanceof Node\Name && $call->class->toString() === Message::class;
            if ($isMessage && $call->name instanceof Node\Identifier && $call->name->name === 'of') {
                $arguments = $call->getArgs();
                $calls[] = new MessageCall("{$path}:{$call->getStartLine()}", self::texts(array_shift($arguments)?->value), self::names($arguments));
            }
        }

        return $calls;
    }

    /** @return list<string> what a text may be */
    private static function texts(?Node $node): array
    {
        return match (true) {
            $node instanceof String_ => [$node->value],
            $node instanceof Expr\Ternary => [...self::texts($node->if), ...self::texts($node->else)],
            $node instanceof Expr\Match_ => array_merge(...array_map(static fn (Node\MatchArm $a): array => self::texts($a->body), $node->arms)),
            $node instanceof Expr\BinaryOp\Concat => self::joined(self::texts($node->left), self::texts($node->right)),
            $node instanceof Expr\PropertyFetch => self::caseValues($node),
            $node instanceof Expr\Variable => array_merge([], ...array_map(self::texts(...), self::origins($node))),
            default => [],
        };
    }

    /**
     * @param  list<string>  $left
     * @param  list<string>  $right
     * @return list<string>
     */
    private static function joined(array $left, array $right): array
    {
        return array_merge([], ...array_map(static fn (string $l): array => array_map(static fn (string $r): string => $l.$r, $right), $left));
    }

    /** @return list<string> of the enum whose value is asked for */
    private static function caseValues(Expr\PropertyFetch $fetch): array
    {
        $enum = $fetch->name instanceof Node\Identifier && $fetch->name->name === 'value' ? self::typeOf($fetch->var) : null;

        return $enum !== null && is_a($enum, \BackedEnum::class, true) ? array_map(static fn (\BackedEnum $c): string => (string) $c->value, $enum::cases()) : [];
    }

    /** @return class-string|null of $this, and of properties from there on */
    private static function typeOf(Node $node): ?string
    {
        if ($node instanceof Expr\Variable && $node->name === 'this') {
            $class = Sources::around($node, Node\Stmt\ClassLike::class)?->namespacedName?->toString();

            return $class !== null && class_exists($class) ? $class : null;
        }
        $owner = $node instanceof Expr\PropertyFetch ? self::typeOf($node->var) : null;
        if ($owner === null || ! $node instanceof Expr\PropertyFetch || ! $node->name instanceof Node\Identifier) {
            return null;
        }
        $type = (new \ReflectionProperty($owner, $node->name->name))->getType();

        return $type instanceof \ReflectionNamedType && class_exists($type->getName()) ? $type->getName() : null;
    }

    /**
     * What a variable was given: where it is assigned, or with what its function is called.
     *
     * @return list<Node>
     */
    private static function origins(Expr\Variable $variable): array
    {
        $finder = new NodeFinder();
        for ($function = self::enclosing($variable); $function !== null; $function = self::enclosing($function)) {
            foreach (array_values($function->getParams()) as $place => $parameter) {
                if ($parameter->var instanceof Expr\Variable && $parameter->var->name === $variable->name) {
                    return self::givenTo($function, $place);
                }
            }
            $assigned = $finder->find($function, static fn (Node $n): bool => $n instanceof Expr\Assign && $n->var instanceof Expr\Variable && $n->var->name === $variable->name);
            if ($assigned !== []) {
                return array_values(array_map(static fn (Node $a): Node => $a instanceof Expr\Assign ? $a->expr : $a, $assigned));
            }
        }

        return [];
    }

    private static function enclosing(Node $node): (Node&FunctionLike)|null
    {
        do {
            $node = $node->getAttribute('parent');
        } while ($node instanceof Node && ! $node instanceof FunctionLike);

        return $node instanceof FunctionLike ? $node : null;
    }

    /** @return list<Node> arguments of a closure kept in a variable, or of a method of the same class */
    private static function givenTo(Node&FunctionLike $function, int $place): array
    {
        $parent = $function->getAttribute('parent');
        $name = match (true) {
            $function instanceof Node\Stmt\ClassMethod => $function->name->name,
            $parent instanceof Expr\Assign && $parent->var instanceof Expr\Variable => $parent->var->name,
            default => null,
        };
        $scope = $function instanceof Node\Stmt\ClassMethod ? Sources::around($function, Node\Stmt\ClassLike::class) : self::enclosing($function);
        $given = [];
        foreach ($scope === null ? [] : (new NodeFinder())->findInstanceOf($scope, Expr\CallLike::class) as $call) {
            $called = match (true) {
                $call instanceof Expr\FuncCall && $call->name instanceof Expr\Variable, $call instanceof Expr\MethodCall, $call instanceof Expr\StaticCall => $call->name,
                default => null,
            };
            $calledName = $called instanceof Expr\Variable || $called instanceof Node\Identifier ? $called->name : null;
            $argument = $calledName === $name && ! $call->isFirstClassCallable() ? $call->getArgs()[$place] ?? null : null;
            $given = $argument === null ? $given : [...$given, $argument->value];
        }

        return $given;
    }

    /**
     * @param  array<Node\Arg>  $arguments
     * @return list<string>|null
     */
    private static function names(array $arguments): ?array
    {
        $names = [];
        foreach ($arguments as $argument) {
            $more = $argument->unpack ? self::keys($argument->value) : ($argument->name === null ? null : [$argument->name->name]);
            if ($more === null) {
                return null;
            }
            $names = [...$names, ...$more];
        }

        return $names;
    }

    /** @return list<string>|null keys of an array that is written out */
    private static function keys(Node $node): ?array
    {
        if ($node instanceof Expr\Variable) {
            $origins = self::origins($node);

            return count($origins) === 1 ? self::keys($origins[0]) : null;
        }
        if (! $node instanceof Expr\Array_) {
            return null;
        }
        $keys = [];
        foreach ($node->items as $item) {
            $keys[] = $item->key instanceof String_ ? $item->key->value : null;
        }

        return in_array(null, $keys, true) ? null : $keys;
    }
}
