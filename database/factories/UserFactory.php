<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * An account with nothing in it yet.
 *
 * @extends Factory<User>
 */
final class UserFactory extends Factory
{
    protected $model = User::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'name' => 'Artist',
            'email' => static fn (array $user): string => mb_strtolower((string) $user['name']).'@example.org',
            'password' => 'long enough 10',
        ];
    }
}
