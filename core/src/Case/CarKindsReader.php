<?php

declare(strict_types=1);

namespace Harmozon\Core\Case;

use Harmozon\Core\Catalogue\CarKind;
use Harmozon\Core\Catalogue\CarKinds;
use Harmozon\Core\Catalogue\OnboardCharger;
use Harmozon\Core\Catalogue\PackClass;
use Harmozon\Core\Catalogue\PackSize;
use Harmozon\Core\Catalogue\TypicalCurve;
use Harmozon\Core\Catalogue\TypicalFigure;
use Harmozon\Core\Equipment\Curve;
use Harmozon\Core\Json\FieldError;
use Harmozon\Core\Json\Node;
use Harmozon\Core\Json\Range;
use Harmozon\Core\Words\Message;

/** Reads what is usual among cars (`core/catalogue/car-kinds.json`). */
final class CarKindsReader
{
    /** @throws FieldError */
    public function json(string $json): CarKinds
    {
        $document = Node::fromJson($json);

        return new CarKinds(
            array_map(static fn (Node $n): PackClass => new PackClass($n->text('id'), $n->text('name'), $n->text('seen'), self::curve($n->object('volts'), Range::volts())), $document->objects('classes')),
            array_map(static fn (Node $n): PackSize => new PackSize($n->text('id'), $n->number('below_kwh', Range::kwh()), self::figure($n->object('usable_kwh'), Range::kwh())), $document->objects('sizes')),
            array_map(static fn (Node $n): CarKind => new CarKind(
                $n->text('class'), $n->text('size'), self::figure($n->object('peak_per_kwh'), Range::curveKw()), self::curve($n->object('curve'), Range::curveKw()),
            ), $document->objects('kinds')),
            array_map(static fn (Node $n): OnboardCharger => new OnboardCharger(
                self::given($n, 'kw', $n->number('kw', Range::kw())), self::given($n, 'phases', $n->wholeNumber('phases', 1, 3)), self::given($n, 'single', $n->boolOrNull('single')),
            ), $document->objects('onboard_chargers')),
            self::curve($document->object('usual_volts'), Range::volts()),
            self::needed($document, 'most_volts', Range::volts()),
            self::figure($document->object('onboard_kw'), Range::kw()),
        );
    }

    private static function figure(Node $node, Range $range): TypicalFigure
    {
        $read = static fn (string $key): float => self::given($node, $key, $node->number($key, $range));

        return new TypicalFigure($read('value'), $read('low'), $read('high'));
    }

    private static function curve(Node $node, Range $range): TypicalCurve
    {
        return new TypicalCurve(self::needed($node, 'value', $range), self::needed($node, 'low', $range), self::needed($node, 'high', $range));
    }

    private static function needed(Node $node, string $key, Range $range): Curve
    {
        return self::given($node, $key, $node->curve($key, $range));
    }

    /**
     * @template T
     *
     * @param  T|null  $value
     * @return T
     */
    private static function given(Node $node, string $key, mixed $value): mixed
    {
        return $value ?? throw $node->fail($key, Message::of('field.required'));
    }
}
