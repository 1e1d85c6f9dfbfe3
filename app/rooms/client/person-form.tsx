import { Button } from 'react-bootstrap';
import { Form } from 'react-router';
import { type Answered, Field, useCheckedForm } from '../../parts/fields/field';
import { OnceKey } from '../../parts/fields/once-key';
import { type PersonForm as Values, personSchema } from '../../schemas/client';

/** Somebody new by name, for who books: what they come for is asked by who works with them. */
export function PersonForm({ answered }: { answered: Answered }) {
  const { form, bind } = useCheckedForm<Values>(personSchema, answered, { name: '', email: '' });
  return (
    <Form {...bind} className="narrow">
      <OnceKey />
      <Field form={form} name="name" label="Name" autoComplete="off" className="mb-3" />
      <Field
        form={form}
        name="email"
        label="E-mail address"
        type="email"
        autoComplete="off"
        hint="For reminders, once they agreed to them."
        className="mb-3"
      />
      <Button type="submit">Add and book</Button>
    </Form>
  );
}
