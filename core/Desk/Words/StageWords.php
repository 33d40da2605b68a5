<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Words;

/** What is said of a drawing that is on its way. */
final class StageWords
{
    /** Zones that are named; of the rest it is said how many. */
    private const NAMED = 3;

    /** Shares of the work between which nearly every drawing looks wrong. */
    private const RAW_FROM = 0.2;

    private const RAW_TO = 0.7;

    /**
     * "About 60 minutes: sky; stone, left; and 4 more".
     *
     * @param  list<string>  $zones  names of those that are worked in a session, which may have commas in them
     */
    public static function session(float $minutes, array $zones): string
    {
        $more = count($zones) - self::NAMED;

        return sprintf('About %d minutes: %s', round($minutes), implode('; ', array_slice($zones, 0, self::NAMED))).
            ($more > 0 ? "; and $more more" : '');
    }

    /** Whoever judges a drawing here gives it up, or mends what is not wrong; nothing at its beginning and near its end. */
    public static function raw(float $share): ?string
    {
        return $share < self::RAW_FROM || $share > self::RAW_TO
            ? null
            : 'It should look rough and patchy at this stage: judge it when the darks are in.';
    }
}
