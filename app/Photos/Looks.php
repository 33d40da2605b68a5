<?php

declare(strict_types=1);

namespace App\Photos;

use App\Cache\Computed;
use App\Models\Photo;
use KnottyPrism\Core\Photo\Pixels\PixelWindow;
use KnottyPrism\Core\Photo\Viewing\Push;
use KnottyPrism\Core\Photo\Viewing\Tone;
use KnottyPrism\Core\Photo\Viewing\WayOfLooking;

/** Photos as they are looked at, at screen size; every way of looking is worked out once and kept. */
final class Looks
{
    private const KEPT_SECONDS = 7 * 24 * 3600;

    public function __construct(private readonly PhotoStore $photos)
    {
    }

    /**
     * @param  string  $pushed  names the push, for the key
     * @return array{kind: string, bytes: string}
     */
    public function picture(Photo $photo, WayOfLooking $way, ?Push $push = null, string $pushed = ''): array
    {
        /** @var array{kind: string, bytes: string} */
        return Computed::kept(
            $this->key('picture', $photo, $way, $way->tone->value, $way->only, $pushed),
            self::KEPT_SECONDS,
            function () use ($photo, $way, $push): array {
                $seen = $this->seen($photo, $way);
                $picture = (new WayOfLooking($way->tone, $way->scale, $way->only))->at($seen, $push);
                // Few flat greys keep their edges in PNG and are small there.
                $kind = $way->tone === Tone::Steps ? 'png' : 'jpeg';

                return [
                    'kind' => $kind,
                    'bytes' => Raster::encoded($picture->width, $picture->height, $picture->channels, $picture->bytes, $kind),
                ];
            },
        );
    }

    /** @return array<int, float> share of the area of each step, 0–1, by step */
    public function shares(Photo $photo, WayOfLooking $way): array
    {
        /** @var array<int, float> */
        return Computed::kept(
            $this->key('shares', $photo, $way),
            self::KEPT_SECONDS,
            fn (): array => (new WayOfLooking(scale: $way->scale))->shares($this->seen($photo, $way)),
        );
    }

    /** The balanced and squinted photo: what all ways of looking have in common, and what takes longest. */
    private function seen(Photo $photo, WayOfLooking $way): PixelWindow
    {
        if ($way->balance === null && $way->squint === null) {
            return $this->photos->screen($photo);
        }
        [$width, $height] = Raster::within($photo->width, $photo->height, PhotoStore::SCREEN_SIDE);
        $neutral = $way->balance?->pointedAt->toArray() ?? [];
        $key = sprintf('seen/%s/%d/%s', $photo->storage_key, $way->squint->value ?? 0, implode(',', $neutral));
        $bytes = Computed::kept($key, self::KEPT_SECONDS, fn (): string => $way->seen($this->photos->screen($photo))->bytes);

        return new PixelWindow($width, $height, is_string($bytes) ? $bytes : '');
    }

    private function key(string $what, Photo $photo, WayOfLooking $way, string|int|null ...$more): string
    {
        $neutral = $way->balance?->pointedAt->toArray() ?? [];

        return implode('/', [
            $what,
            $photo->storage_key,
            $way->scale->steps,
            (int) $way->scale->fromLightest,
            $way->squint->value ?? 0,
            implode(',', $neutral),
            ...array_map(strval(...), $more),
        ]);
    }
}
