<?php

declare(strict_types=1);

namespace App\Services;

use App\Cache\Computed;
use App\Models\Photo;
use App\Models\Study;
use App\Models\User;
use App\Photos\PhotoStore;
use App\Presenters\RecipePresenter;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Photo\Reading\NeutralBalance;
use KnottyPrism\Core\Photo\Reading\Spot;
use KnottyPrism\Core\Recipe\RecipePlanner;
use KnottyPrism\Core\Recipe\School\School;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;

/** Reads spots of a study's photo and finds recipes for them; the same question is answered from the cache. */
final class SpotDesk
{
    private const KEPT_SECONDS = 30 * 24 * 3600;

    public function __construct(private readonly PhotoStore $photos, private readonly DrawerKeeper $drawers, private readonly AtlasShelf $atlases)
    {
    }

    /**
     * @param  int  $ring  radius in pixels of the working copy
     * @param  ?NeutralBalance  $balance  of the photo, where something in it was said to be neutral
     */
    public function read(Photo $photo, int $x, int $y, int $ring, ?NeutralBalance $balance = null): Spot
    {
        $left = max(0, $x - $ring - 1);
        $top = max(0, $y - $ring - 1);
        $right = min($photo->width - 1, $x + $ring + 1);
        $bottom = min($photo->height - 1, $y + $ring + 1);
        $window = $this->photos->window($photo, $left, $top, $right - $left + 1, $bottom - $top + 1);

        return Spot::inRing($window, $x - $left, $y - $top, $ring)->balanced($balance);
    }

    /** @return array<string, mixed> the target, the nearest single pencil and up to four recipes, as the API shows them */
    public function recipes(User $user, Study $study, Lab $target): array
    {
        $key = implode('/', ['recipes', RecipePlanner::VERSION, $this->drawers->fingerprint($user), md5($study->paper), sprintf('%.2f,%.2f,%.2f', ...$target->toArray())]);

        /** @var array<string, mixed> */
        return Computed::kept($key, self::KEPT_SECONDS, function () use ($user, $study, $target): array {
            $planner = new RecipePlanner($this->drawers->drawerOf($user), PaperShelf::named($study->paper), School::free(), $this->atlases);

            return [
                'nearestSingle' => RecipePresenter::nearest($planner->nearestSingle($target)),
                'recipes' => array_map(RecipePresenter::recipe(...), $planner->recipesFor($target)),
            ];
        }, store: null);
    }
}
