<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Order;

use KnottyPrism\Core\Photo\Zones\Distance;

/** What one would rather do before what, in minutes that it is worth. */
final class Precedence
{
    /** What decides nothing else: far before near, large before small, the lighter side of a border first. */
    private const FAR = 0.3;

    private const LARGE = 0.1;

    private const LIGHTER_SIDE = 0.2;

    /** What an order is chosen for. */
    private const BY_ORDER = 1.5;

    /** To turn from one area to another before it is done: to find oneself again, and the farther the more. */
    private const LEAVING = 0.02;

    private const LEAVING_PER_MM = 0.001;

    /** So many zones are worked together; to begin another while these are not done, for each that is too many. */
    public const OPEN_TOGETHER = 3;

    private const OPENING = 1.0;

    /** To find the next pencil, and a point on it; and twice that where the pencil leads. */
    private const PICK_UP = 3.0;

    /** Of leaving an area, where the pencil leads. */
    private const BY_PENCIL = 0.1;

    private const ORDER = ['far' => 0, 'middle' => 1, 'near' => 2];

    /**
     * Of beginning one zone while another is not begun.
     *
     * @param  array{float, float}  $centre  of the picture, mm
     */
    public static function cost(DeskZone $now, DeskZone $later, bool $touching, WorkOrder $order, array $centre): float
    {
        if ($now->number === $later->number) {
            return 0.0;
        }
        $cost = self::FAR * max(0, self::rank($now->distance) - self::rank($later->distance));
        $cost += $now->distance === $later->distance && $now->area < $later->area ? self::LARGE : 0.0;
        $cost += $touching && $later->lightness > $now->lightness ? self::LIGHTER_SIDE : 0.0;

        return $cost + self::BY_ORDER * match ($order) {
            WorkOrder::DarksFirst => max(0.0, $now->lightness - $later->lightness) / 20,
            WorkOrder::LightsFirst => max(0.0, $later->lightness - $now->lightness) / 20,
            WorkOrder::CentreOutwards => max(0.0, $now->from(...$centre) - $later->from(...$centre)) / 40,
            default => 0.0,
        };
    }

    public static function opening(WorkOrder $order): float
    {
        return $order === WorkOrder::PencilByPencil ? 0.0 : self::OPENING;
    }

    public static function pickUp(WorkOrder $order): float
    {
        return self::PICK_UP * ($order === WorkOrder::PencilByPencil ? 2 : 1);
    }

    public static function leaving(DeskZone $from, DeskZone $to, WorkOrder $order): float
    {
        if ($from->number === $to->number) {
            return 0.0;
        }

        return ($order === WorkOrder::PencilByPencil ? self::BY_PENCIL : 1.0) * (self::LEAVING + self::LEAVING_PER_MM * $from->to($to));
    }

    private static function rank(Distance $distance): int
    {
        return self::ORDER[$distance->value];
    }
}
