<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\PencilRow;
use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;
use KnottyPrism\Core\Medium\Pencil\Pencil;

/**
 * A pencil in somebody's drawer, by its heavy colour alone and not fitted yet.
 *
 * @extends Factory<PencilRow>
 */
final class PencilRowFactory extends Factory
{
    protected $model = PencilRow::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return ['user_id' => User::factory(), 'line' => '', 'number' => '1', 'name' => 'Mine', 'heavy' => '#804020'];
    }

    /** As it was recorded and fitted. */
    public function fitted(Pencil $pencil): self
    {
        return $this->state(PencilRow::columnsOf($pencil));
    }
}
