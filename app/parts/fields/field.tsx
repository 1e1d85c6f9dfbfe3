import { yupResolver } from '@hookform/resolvers/yup';
import { useEffect, useId } from 'react';
import { Form as BsForm } from 'react-bootstrap';
import { get, useForm, type DefaultValues, type FieldValues, type Path, type UseFormReturn } from 'react-hook-form';
import { useSubmit } from 'react-router';
import type { AnyObjectSchema } from 'yup';
import type { FieldErrors } from '../../schemas/read';

/**
 * A form held against its schema before it is sent, by the same rules as the server uses. What was typed stays; the
 * first wrong field gets the focus, whether the browser or the server found it.
 */
export type Answered = { errors?: FieldErrors; typed?: object } | undefined;

export function useCheckedForm<V extends FieldValues>(
  schema: AnyObjectSchema,
  answered: Answered,
  defaultValues?: DefaultValues<V>,
) {
  const submit = useSubmit();
  const form = useForm<V>({
    resolver: yupResolver(schema) as never,
    defaultValues: { ...defaultValues, ...answered?.typed } as DefaultValues<V>,
    mode: 'onSubmit',
    reValidateMode: 'onChange',
  });
  useEffect(() => {
    for (const [i, [name, message]] of Object.entries(answered?.errors ?? {}).entries())
      form.setError(name as Path<V>, { message }, { shouldFocus: i === 0 });
  }, [answered, form]);
  const onSubmit = form.handleSubmit(async (_values, event) => {
    const element = event?.target as HTMLFormElement;
    const submitter = (event?.nativeEvent as SubmitEvent | undefined)?.submitter as HTMLButtonElement | null;
    await submit(submitter ?? element, { method: 'post' });
  });
  return { form, bind: { onSubmit, method: 'post' as const, noValidate: true } };
}

interface Shown {
  label: string;
  hint?: string;
  className?: string;
}

/** Label, control, hint and message in one; with children it is a select. */
export function Field<V extends FieldValues>({
  form,
  name,
  children,
  ...rest
}: Shown & { form: UseFormReturn<V>; name: Path<V>; children?: React.ReactNode } & Omit<
    React.ComponentProps<typeof BsForm.Control>,
    'children' | 'name' | 'form'
  >) {
  const message = (get(form.formState.errors, name) as { message?: string } | undefined)?.message;
  return (
    <FieldFrame defaultValue={startOf(form, name)} {...rest} message={message} controls={form.register(name) as object}>
      {children}
    </FieldFrame>
  );
}

/** What a field starts with, in the page itself: a form is whole before any script runs. */
const startOf = <V extends FieldValues>(form: UseFormReturn<V>, name: Path<V>): string | undefined => {
  const value: unknown = get(form.formState.defaultValues, name);
  return typeof value === 'string' || typeof value === 'number' ? String(value) : undefined;
};

/** A field that nobody sees. */
export const HiddenField = <V extends FieldValues>({ form, name }: { form: UseFormReturn<V>; name: Path<V> }) => (
  <input type="hidden" defaultValue={startOf(form, name)} {...form.register(name)} />
);

/** The same frame for a control that no form library knows about. */
export function FieldFrame({
  label,
  hint,
  className,
  message,
  controls,
  children,
  ...control
}: Shown & { message?: string; controls?: object; children?: React.ReactNode } & Omit<
    React.ComponentProps<typeof BsForm.Control>,
    'children'
  >) {
  const id = useId();
  const described = [message ? `${id}-error` : '', hint ? `${id}-hint` : ''].filter(Boolean).join(' ') || undefined;
  const shared = { id, isInvalid: !!message, 'aria-describedby': described, ...controls };
  return (
    <div className={className}>
      <BsForm.Label htmlFor={id}>{label}</BsForm.Label>
      {children ? (
        <BsForm.Select {...shared} {...(control as object)}>
          {children}
        </BsForm.Select>
      ) : (
        <BsForm.Control {...shared} {...control} />
      )}
      {message && (
        <BsForm.Control.Feedback type="invalid" id={`${id}-error`} role="alert">
          {message}
        </BsForm.Control.Feedback>
      )}
      {hint && (
        <BsForm.Text id={`${id}-hint`} className="soft">
          {hint}
        </BsForm.Text>
      )}
    </div>
  );
}
