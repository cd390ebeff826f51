import { createParamDecorator, type ExecutionContext } from '@nestjs/common';

/** A body that carries a document, as text: it is parsed once, where it is checked. */
export const DocumentText = createParamDecorator((_: unknown, context: ExecutionContext): string => {
  const { body } = context.switchToHttp().getRequest<{ body: unknown }>();
  return typeof body === 'string' ? body : '';
});
