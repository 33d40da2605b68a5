<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\KeptRecipe;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A recipe kept for a spot at the top left of a study's photo.
 *
 * @extends Factory<KeptRecipe>
 */
final class KeptRecipeFactory extends Factory
{
    protected $model = KeptRecipe::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'name' => 'rope, lit side',
            'x' => 1,
            'y' => 1,
            'ring' => 3,
            'target_l' => 50,
            'target_a' => 0,
            'target_b' => 0,
            'label' => 'closest',
            'stack' => '735@0.35',
            'paper' => 'white medium',
        ];
    }
}
