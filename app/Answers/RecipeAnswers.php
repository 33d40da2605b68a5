<?php

declare(strict_types=1);

namespace App\Answers;

use App\Cache\Computed;
use App\Drawers\DrawerKeeper;
use App\Hands\HandKeeper;
use App\Models\Study;
use App\Models\User;
use App\Resources\RecipeResource;
use App\Resources\SequenceResource;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Photo\Zones\Surface;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\RecipePlanner;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;

/**
 * Finds recipes for a colour; the same question is answered from the cache.
 *
 * @phpstan-import-type NearestSingleJson from \Described
 * @phpstan-import-type SequenceJson from \Described
 */
final class RecipeAnswers
{
    private const KEPT_SECONDS = 30 * 24 * 3600;

    public function __construct(
        private readonly DrawerKeeper $drawers,
        private readonly AtlasShelf $atlases,
        private readonly HandKeeper $hands,
    ) {
    }

    /**
     * @param  Surface  $surface  of what the colour is seen on
     * @return array{nearestSingle: NearestSingleJson, recipes: list<SequenceJson>} up to four recipes
     */
    public function recipes(User $user, Study $study, Lab $target, Surface $surface): array
    {
        $paper = $this->hands->paper($user, $study->paper);
        $key = implode('/', [
            'recipes',
            $this->drawers->fingerprint($user),
            md5($paper->key()),
            sprintf('%.2f,%.2f,%.2f', ...$target->toArray()),
            $surface->value,
        ]);

        return Computed::kept(
            $key,
            self::KEPT_SECONDS,
            function () use ($user, $paper, $target, $surface): array {
                $planner = new RecipePlanner($this->drawers->drawerOf($user), $paper, Method::free(), $this->atlases);

                return [
                    'nearestSingle' => RecipeResource::nearest($planner->nearestSingle($target)),
                    'recipes' => array_map(
                        static fn (Recipe $r): array => SequenceResource::recipe($r, $paper),
                        $planner->recipesFor($target, grainCounts: $surface->grainCounts()),
                    ),
                ];
            },
            store: null,
        );
    }
}
