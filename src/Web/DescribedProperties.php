<?php

declare(strict_types=1);

namespace App\Web;

use Nelmio\ApiDocBundle\Describer\ModelRegistryAwareInterface;
use Nelmio\ApiDocBundle\Model\Model;
use Nelmio\ApiDocBundle\Model\ModelRegistry;
use Nelmio\ApiDocBundle\ModelDescriber\ModelDescriberInterface;
use Nelmio\ApiDocBundle\ModelDescriber\ObjectModelDescriber;
use OpenApi\Annotations as OA;
use OpenApi\Generator;
use phpDocumentor\Reflection\DocBlock\Tags\Param;
use phpDocumentor\Reflection\DocBlockFactory;
use Symfony\Component\DependencyInjection\Attribute\AsDecorator;
use Symfony\Component\DependencyInjection\Attribute\AutowireDecorated;

/**
 * What is written beside the parameters of a view's constructor, and above its class, stands in the description of the
 * API too.
 */
#[AsDecorator('nelmio_api_doc.model_describers.object')]
final readonly class DescribedProperties implements ModelDescriberInterface, ModelRegistryAwareInterface
{
    public function __construct(#[AutowireDecorated] private ObjectModelDescriber $inner)
    {
    }

    public function describe(Model $model, OA\Schema $schema): void
    {
        $this->inner->describe($model, $schema);
        $class =
            $model->getTypeInfo() instanceof \Symfony\Component\TypeInfo\Type\ObjectType
                ? $model->getTypeInfo()->getClassName()
                : null;
        if (null === $class || !class_exists($class) || Generator::UNDEFINED === $schema->properties) {
            return;
        }
        $reflection = new \ReflectionClass($class);
        $blocks = DocBlockFactory::createInstance();
        $comment = $reflection->getDocComment();
        $schema->description = false === $comment ? Generator::UNDEFINED : self::inOneLine($blocks->create($comment)->getSummary());
        $comment = $reflection->getConstructor()?->getDocComment() ?? false;
        $told = [];
        foreach (false === $comment ? [] : $blocks->create($comment)->getTagsByName('param') as $tag) {
            $told[$tag instanceof Param ? (string) $tag->getVariableName() : ''] =
                (string) ($tag instanceof Param ? $tag->getDescription() : '');
        }
        foreach ($schema->properties as $property) {
            if ('' !== ($told[$property->property] ?? '')) {
                $property->description = self::inOneLine($told[$property->property]);
            }
        }
    }

    private static function inOneLine(string $text): string
    {
        return (string) preg_replace('/\s+/', ' ', $text);
    }

    public function supports(Model $model): bool
    {
        return $this->inner->supports($model);
    }

    public function setModelRegistry(ModelRegistry $modelRegistry): void
    {
        $this->inner->setModelRegistry($modelRegistry);
    }
}
